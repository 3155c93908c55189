/** A catalogue as the build reads it: what is said for each message of the source, ready to be put together. */
declare module '*.po' {
  const messages: Record<string, unknown>;
  export default messages;
}
