/** Where class-transformer keeps its decorators' marks; it exports no types for it. */
declare module 'class-transformer/cjs/storage.js' {
  export const defaultMetadataStorage: object;
}
