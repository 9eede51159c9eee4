// Dialog
export const close = 'Close';

// Pager
export const pages = 'Pages';
export const before = 'Before';
export const after = 'After';

// Plates
export const notKnown = 'not known';
export const byMark = 'by mark';
export const linkedPlatesWhatBelongsTogether = 'Linked plates: what belongs together';
export const rulesOfTheWholeSet = 'Rules of the whole set';
export const match = 'match';
export const clash = 'clash';
export const pitch = 'pitch';
export const gauge = 'gauge';
export const links = 'links';

// PrintBar
export const backTo = (to: string): string => `Back to ${to}`;
export const print = 'Print';
