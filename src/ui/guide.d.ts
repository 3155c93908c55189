/** Written by the build, from a page of docs/guide; see vite.config.ts. */
declare module '*.md' {
  const page: import('./features/guide/pages.ts').PageOfGuide;
  export default page;
}
