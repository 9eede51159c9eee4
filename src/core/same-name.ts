/** A name as it is compared: without its capitals, however its accents are coded. */
export const plainName = (name: string): string => name.normalize('NFC').trim().toLowerCase();

/** Whether two names are written alike, whatever their capitals. */
export const isSameName = (a: string, b: string): boolean => plainName(a) === plainName(b);
