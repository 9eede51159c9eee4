/** What the server says of its work, to whoever runs it. */
export const said = (text: string): void => void process.stdout.write(`${text}\n`);

/** What went wrong, with where it went wrong. */
export function complained(error: unknown): void {
  process.stderr.write(`${error instanceof Error ? (error.stack ?? error.message) : String(error)}\n`);
}
