/** Gives other work its turn. A timer would wait longer, and for a whole second each in a window that is not looked at. */
export function breathe(): Promise<void> {
  return new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(null);
  });
}
