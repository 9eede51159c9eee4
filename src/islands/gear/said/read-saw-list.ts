import Papa from 'papaparse';
import { err, ok, type Result } from '../../../core/result';
import { CSV_AS_IT_STANDS, listRows, listText, type ListProblem, type ListRows } from '../../../core/stock';

/** A list of saws as it stands in its file. */
export async function readSawList(file: File): Promise<Result<ListRows, ListProblem>> {
  const text = listText(new Uint8Array(await file.arrayBuffer()));
  if (!text.ok) return err(text.error);
  const { data, errors } = Papa.parse<string[]>(text.value.text, CSV_AS_IT_STANDS);
  const rows = listRows({ data, errors });
  return rows.ok ? ok(rows.value) : err(rows.error);
}
