/** The library brings no types that name what of it is used: `heic.ts` does. */
declare module 'libheif-js/libheif-wasm/libheif-bundle.mjs' {
  const load: () => unknown;
  export default load;
}
