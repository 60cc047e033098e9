declare module '*.css';
declare module '*.ttf' {
  const source: number;
  export default source;
}
