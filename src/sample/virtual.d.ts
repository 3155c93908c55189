/** Written by the build, from `createSampleHousehold`; see vite.config.ts. */
declare module 'virtual:sample' {
  const loadRecords: () => Promise<import('./made.ts').MadeRecords>;
  export default loadRecords;
}
