/** Written by the build, from `createSampleHousehold`; see vite.config.ts. */
declare module 'virtual:sample' {
  const records: import('./made.ts').MadeRecords;
  export default records;
}
