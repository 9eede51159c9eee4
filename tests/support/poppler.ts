import { execFileSync } from 'node:child_process';

/** The text of a PDF, as Debian's poppler reads it. */
export const pdfText = (pdf: Uint8Array): string =>
  execFileSync('pdftotext', ['-layout', '-', '-'], { input: pdf, encoding: 'utf8' });

/** Pages of a PDF, by poppler. */
export const pdfPages = (pdf: Uint8Array): number =>
  Number(/^Pages:\s+(\d+)$/m.exec(execFileSync('pdfinfo', ['-'], { input: pdf, encoding: 'utf8' }))![1]);

/** Names of the fonts within a PDF, by poppler. */
export const pdfFonts = (pdf: Uint8Array): readonly string[] =>
  execFileSync('pdffonts', ['-'], { input: pdf, encoding: 'utf8' })
    .split('\n')
    .slice(2)
    .flatMap((line) => line.match(/^\S+/)?.[0] ?? []);
