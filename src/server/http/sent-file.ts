import { createReadStream, statSync } from 'node:fs';
import { Readable } from 'node:stream';
import { answer } from './endpoint';

/** A file that is sent, and the name it is saved under. */
export interface SentFile {
  readonly file: string;
  readonly name: string;
  /** Done once it is sent. */
  readonly done?: () => void;
}

/** Answers with a file, to be saved; or says why it could not be made. */
export async function sentFile(make: () => Promise<SentFile> | SentFile): Promise<Response> {
  try {
    const { file, name, done } = await make();
    const stream = createReadStream(file);
    if (done) stream.once('close', done);
    return new Response(Readable.toWeb(stream) as ReadableStream, {
      headers: {
        'Content-Type': 'application/octet-stream',
        'Content-Length': String(statSync(file).size),
        'Content-Disposition': `attachment; filename="${name}"`,
      },
    });
  } catch (error) {
    return answer(() => Promise.reject(error));
  }
}
