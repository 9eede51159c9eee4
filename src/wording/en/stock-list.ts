import { never } from '../../core/result';
import type { CellProblem, ListEncoding, ListProblem } from '../../core/stock';
import { list } from './sentence';
import { stockColumnName } from './stock';

/** What is wrong with a cell, and what would be right. */
export function cellProblem(problem: CellProblem): string {
  const name = stockColumnName[problem.column];
  switch (problem.code) {
    case 'missing':
      return `${name} is missing.`;
    case 'too-long':
      return `${name}: “${problem.text.slice(0, 20)}…” is longer than ${problem.most} letters.`;
    case 'not-one-of':
      return `${name}: “${problem.text}” is not one of ${list(problem.options, 'or')}.`;
    case 'build-not-said':
      return `${name}: “${problem.text}” does not say which 3/8: write 38lp for low profile or 38 for standard.`;
    case 'not-a-whole-number':
      return `${name}: “${problem.text}” is not a whole number.`;
    case 'not-a-number':
      return `${name}: “${problem.text}” is not a number such as 17.90.`;
    case 'out-of-bounds':
      return `${name}: “${problem.text}” is not between ${problem.lo} and ${problem.hi}.`;
    case 'line-break':
      return `${name}: “${problem.text.slice(0, 20).replace(/\s+/g, ' ')}…” goes over several lines, as if rows had run together. A quotation mark that is not closed does that.`;
    case 'damaged-letters':
      return `${name}: “${problem.text}” has letters that could not be read. Write it anew, or save the list as UTF-8.`;
    case 'stray-quote':
      return `${name}: a quotation mark in “${problem.text.slice(0, 40)}” stands where none may. Double it, or take it out.`;
    default:
      return never(problem);
  }
}

/** How the text of a list was read. */
export const encodingWord: Readonly<Record<ListEncoding, string>> = {
  'utf-8': 'UTF-8',
  'utf-16le': 'UTF-16',
  'utf-16be': 'UTF-16',
  'windows-1252': 'Latin-1 (Windows-1252)',
};

/** Why a list is not read at all, and what would be right. */
export function listProblem(problem: ListProblem): string {
  switch (problem.code) {
    case 'too-large':
      return `It has ${Math.ceil(problem.bytes / 1e6)} MB, more than the ${problem.most / 1e6} MB that are taken in at once: divide it.`;
    case 'too-many-rows':
      return `It has more than ${problem.most.toLocaleString('en')} rows, which are taken in at once: divide it.`;
    case 'workbook':
      return 'It is a workbook of a table program: save it as CSV there, and choose that.';
    case 'not-text':
      return 'It is no text: a CSV with a header row, then one part a row would be right.';
    case 'quote-not-closed':
      return `Line ${problem.line} opens a quotation mark that is never closed, so that everything below it would be one cell. Close it, and choose the list again.`;
    case 'empty':
      return 'It holds no rows below its headings.';
    default:
      return never(problem);
  }
}
