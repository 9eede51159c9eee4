/**
 * The root of a sum of two squares, as independent uncertainties add (JCGM 100:2008 5.1.2). No values here are so large
 * or so small that squares would leave what a number can hold, so nothing is scaled first.
 */
export const quadrature = (a: number, b: number): number => Math.sqrt(a * a + b * b);
