/** A worker's file that never comes to its end: what waits for it goes on all the same. */
await new Promise(() => {});
export {};
