import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { Font } from '@react-pdf/renderer';
import { plainFont } from './plain-font';

const require = createRequire(import.meta.url);

/** A shipped font as the renderer takes it. */
const unpacked = (file: string): string => `data:font/ttf;base64,${plainFont(readFileSync(file)).toString('base64')}`;

/**
 * The shipped fonts, as they stand among the packages: Latin, and the letters of further Latin alphabets behind them.
 */
function shipFonts(): void {
  const files = (name: string, alphabet: string, weights: readonly number[]) => ({
    family: `${name} ${alphabet}`,
    fonts: weights.map((fontWeight) => ({
      src: unpacked(require.resolve(`@fontsource/${name}/files/${name}-${alphabet}-${fontWeight}-normal.woff`)),
      fontWeight,
    })),
  });
  for (const alphabet of ['latin', 'latin-ext']) {
    Font.register(files('hanken-grotesk', alphabet, [400, 700]));
    Font.register(files('spline-sans-mono', alphabet, [400, 700]));
  }
  // Words are not broken: numbers and part numbers must be read whole.
  Font.registerHyphenationCallback((word) => [word]);
}
shipFonts();

/** Families of the shipped fonts: for words, and for figures. */
export const WORDS = ['hanken-grotesk latin', 'hanken-grotesk latin-ext'];
export const FIGURES = ['spline-sans-mono latin', 'spline-sans-mono latin-ext'];
