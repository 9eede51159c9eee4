/** Formats kept at a time; a shop writes with a handful. */
const MOST = 50;

/**
 * Keeps what was made for the same style and options: making a format takes some hundred times as long as writing with
 * it.
 */
function kept<Format, Options>(
  make: (style: string, options: Options) => Format,
): (style: string, options: Options) => Format {
  const made = new Map<string, Format>();
  return (style, options) => {
    const key = `${style} ${JSON.stringify(options)}`;
    const known = made.get(key);
    if (known) return known;
    if (made.size >= MOST) made.clear();
    const format = make(style, options);
    made.set(key, format);
    return format;
  };
}

/** How a style writes days and times. */
export const dayFormat = kept((style, options: Intl.DateTimeFormatOptions) => new Intl.DateTimeFormat(style, options));

/** How a style writes numbers and amounts. */
export const numberFormat = kept((style, options: Intl.NumberFormatOptions) => new Intl.NumberFormat(style, options));
