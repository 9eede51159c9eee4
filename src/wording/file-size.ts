/** How large a file is, in words of a thousand bytes. */
export function fileSize(bytes: number): string {
  const [size, unit] = bytes < 1e6 ? [bytes / 1e3, 'kB'] : bytes < 1e9 ? [bytes / 1e6, 'MB'] : [bytes / 1e9, 'GB'];
  return `${size < 10 ? size.toFixed(1) : Math.round(size)} ${unit}`;
}
