/** The independent ACH reader used by the tests; it ships no types. */
declare module '@midlandsbank/node-nacha' {
  const nacha: { from(text: string): unknown };
  export default nacha;
}
