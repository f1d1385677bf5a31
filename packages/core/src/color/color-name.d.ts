declare module 'color-name' {
  const names: Readonly<Record<string, readonly [number, number, number]>>;
  export default names;
}
