import { answered } from '../../frame/api';

/** A file that is made when it is asked for, with the name that it is given. */
export async function madeFile(url: string): Promise<{ readonly blob: Blob; readonly name: string }> {
  const response = await answered('POST', url, {});
  const [, name = 'serrata'] = /filename="([^"]+)"/.exec(response.headers.get('Content-Disposition') ?? '') ?? [];
  return { blob: await response.blob(), name };
}
