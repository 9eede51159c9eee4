/** Hands a file to the browser's own saving. */
export function save(file: Blob, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(file);
  link.download = name;
  link.click();
  // The download has taken the address up once the click has been handled.
  setTimeout(() => URL.revokeObjectURL(link.href), 1000);
}
