import type { ShopView } from './views';

/**
 * What a mark or a word on a paper says: sound, to be worked on, gone, not known, or nothing. `code` and `ground` are
 * black and white on every bench: a reader must tell them apart.
 */
export type PaperTone = 'plain' | 'soft' | 'good' | 'work' | 'gone' | 'open' | 'act' | 'code' | 'ground';

/** A line or a word of a drawing, laid out. */
export type PaperShape =
  | {
      readonly is: 'path';
      readonly d: string;
      readonly stroke?: PaperTone;
      readonly fill?: PaperTone;
      readonly width?: number;
      readonly dash?: string;
    }
  | {
      readonly is: 'text';
      readonly x: number;
      readonly y: number;
      readonly text: string;
      readonly size: number;
      readonly anchor: 'start' | 'middle' | 'end';
      readonly tone: PaperTone;
    };

/** A drawing on a paper: the same lines on the screen, in print and as PDF. */
export interface PaperDrawing {
  readonly width: number;
  readonly height: number;
  /** What it shows, in words. */
  readonly said: string;
  readonly shapes: readonly PaperShape[];
  /** Share of the paper's width that it takes. */
  readonly share: number;
}

/** What papers are made of. */
export type PaperBlock =
  | { readonly is: 'heading'; readonly text: string }
  | { readonly is: 'text'; readonly text: string; readonly look?: 'strong' | 'small' | 'lead' }
  | { readonly is: 'list'; readonly items: readonly string[]; readonly numbered?: boolean }
  | {
      readonly is: 'numbers';
      readonly items: readonly { readonly name: string; readonly value: string; readonly note: string }[];
    }
  | { readonly is: 'pairs'; readonly items: readonly { readonly name: string; readonly value: string }[] }
  | {
      readonly is: 'marks';
      readonly items: readonly { readonly tone: PaperTone; readonly word: string; readonly text: string }[];
    }
  | {
      readonly is: 'table';
      readonly title: string;
      readonly head: readonly string[];
      readonly rows: readonly (readonly string[])[];
      readonly large?: boolean;
    }
  | { readonly is: 'notice'; readonly kind: 'caution' | 'info'; readonly items: readonly string[] }
  | { readonly is: 'drawing'; readonly drawing: PaperDrawing }
  | { readonly is: 'section'; readonly title: string; readonly label: string; readonly blocks: readonly PaperBlock[] }
  | { readonly is: 'columns'; readonly columns: readonly (readonly PaperBlock[])[] };

/** A paper of a job as it is offered: the end of its address, and its name. */
export interface PaperLink {
  readonly id: string;
  readonly name: string;
}

/** A paper as data: printed from the page, written as PDF, read on a phone. */
export interface Paper {
  readonly shop: ShopView;
  readonly title: string;
  readonly tag: string;
  /** Lines below the title: shop and day, whose, which saw. */
  readonly lines: readonly string[];
  readonly blocks: readonly PaperBlock[];
  /** A page of its own, or a tag to tie to the saw. */
  readonly size: 'page' | 'tag';
  /** Set larger, to be read from beside the vise. */
  readonly large?: boolean;
  /** At its foot: the last record that it rests on, and when it was given where it was. */
  readonly foot?: string;
  /** What has become other since it was given; said beside it, never in it. */
  readonly since?: readonly string[];
}

/** A paper as it was given: kept as it was, whatever the shop is called by now. */
export type GivenPaper = Omit<Paper, 'shop' | 'foot' | 'since'>;
