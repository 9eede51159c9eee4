/** A name without case, joined words and signs. */
const plain = (name: string): string =>
  name
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();

/**
 * Which heading of a list goes to which column, by name or by one of its other names; a heading is used once.
 * @param columns each with its other names, in lower case
 */
export function matchHeadings<Column extends string>(
  headings: readonly string[],
  columns: Readonly<Record<Column, readonly string[]>>,
): Readonly<Record<Column, number | null>> {
  const taken = new Set<number>();
  const match = ([column, others]: [string, readonly string[]]): [string, number | null] => {
    const names = [plain(column), ...others];
    const i = headings.findIndex((heading, at) => !taken.has(at) && names.includes(plain(heading)));
    if (i === -1) return [column, null];
    taken.add(i);
    return [column, i];
  };
  return Object.fromEntries(Object.entries<readonly string[]>(columns).map(match)) as Record<Column, number | null>;
}
