/** The part of jstat that tests hold our own against. */
declare module 'jstat' {
  export const jStat: {
    readonly chisquare: { readonly inv: (p: number, degrees: number) => number };
    readonly studentt: { readonly inv: (p: number, degrees: number) => number };
  };
}
