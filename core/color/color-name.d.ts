// The package ships no types: names of CSS colours with their red, green and blue bytes.
declare module 'color-name' {
  const names: Readonly<Record<string, readonly [number, number, number]>>;
  export default names;
}
