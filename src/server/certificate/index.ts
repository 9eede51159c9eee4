import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { networkInterfaces } from 'node:os';
import { join } from 'node:path';
import { makeFolderOf, OWNER_ALONE } from '../../data/owner-alone';
import { authorityOf, makeAuthority, makeCertificate } from './make';

/** What was made: where it lies, and the names it is for. */
export interface MadeCertificate {
  readonly authority: string;
  readonly certificate: string;
  readonly key: string;
  readonly names: readonly string[];
  /** Whether the authority is new, and must be carried to every tablet. */
  readonly isNew: boolean;
}

/** Addresses that others on the network reach this machine under. */
const ownAddresses = (): readonly string[] =>
  Object.values(networkInterfaces())
    .flatMap((each) => each ?? [])
    .filter(({ internal, family }) => !internal && family === 'IPv4')
    .map(({ address }) => address);

/** Writes a file that whoever runs Serrata alone may read. */
const keep = (file: string, text: string): void => writeFileSync(file, text, { mode: OWNER_ALONE });

/**
 * Makes a certificate for the shop's own network, signed by an authority of the shop's own, which is made once: a later
 * certificate needs no new walk to the tablets.
 * @param folder where they are kept
 * @param names what the shop is reached under; this machine's own addresses are added
 */
export async function certificateIn(folder: string, names: readonly string[], now: Date): Promise<MadeCertificate> {
  const at = (name: string) => join(folder, name);
  const made = {
    authority: at('authority.pem'),
    certificate: at('certificate.pem'),
    key: at('certificate.key'),
    names: [...new Set([...names, ...ownAddresses(), 'localhost', '127.0.0.1'])],
  };
  makeFolderOf(made.authority);
  const authorityKey = at('authority.key');
  const isNew = !existsSync(made.authority) || !existsSync(authorityKey);
  if (isNew) {
    const { cert, pem } = await makeAuthority(names[0] ?? 'Saw shop', now);
    keep(authorityKey, pem);
    keep(made.authority, cert);
  }
  const authority = await authorityOf(readFileSync(made.authority, 'utf8'), readFileSync(authorityKey, 'utf8'));
  const { cert, pem } = await makeCertificate(authority, made.names, now);
  keep(made.key, pem);
  keep(made.certificate, cert);
  return { ...made, isNew };
}
