import { X509Certificate, createPrivateKey } from 'node:crypto';
import { readFileSync } from 'node:fs';
import type { Settings } from '../../data/settings';
import { isOwnAddress } from './door';
import * as texts from '#language/server';

/** How the door is to be opened. */
export interface Opening {
  readonly host: string;
  readonly isNetwork: boolean;
  /** What connections are encrypted with; null where they are not by this server. */
  readonly tls: { readonly cert: Buffer; readonly key: Buffer } | null;
  /** Names that the certificate is for: the shop runs under them. */
  readonly names: readonly string[];
  /** Addresses of proxies that are believed what they say of who asks. */
  readonly proxies: ReadonlySet<string>;
}

/** Names and addresses that a certificate is for. */
const namesOf = ({ subjectAltName = '' }: X509Certificate): readonly string[] =>
  subjectAltName
    .split(/,\s*/)
    .map((each) => each.replace(/^(DNS|IP Address):/, '').toLowerCase())
    .filter(Boolean);

/** @throws Error with what is wrong with it */
function certificateIn(file: string, keyFile: string, now: Date) {
  try {
    const [cert, key] = [readFileSync(file), readFileSync(keyFile)];
    const read = new X509Certificate(cert);
    if (new Date(read.validTo) <= now)
      throw new Error(texts.hasRunOut(new Date(read.validTo).toISOString().slice(0, 10)));
    if (!read.checkPrivateKey(createPrivateKey(key))) throw new Error(texts.keyOfAnother);
    return { tls: { cert, key }, names: namesOf(read) };
  } catch (error) {
    throw new Error(texts.cannotUse(file, error instanceof Error ? error.message : String(error)), { cause: error });
  }
}

/**
 * How the door is to be opened, by what the environment says: to the network only with an owner who can sign in, and
 * with connections that are encrypted by this server or by a proxy that was named.
 * @throws Error with what is missing
 */
export function openingFor(made: Settings, { hasOwner, now }: { hasOwner: boolean; now: Date }): Opening {
  const { HOST: host, SERRATA_CERTIFICATE: file, SERRATA_KEY: keyFile, SERRATA_PROXY } = made;
  if ((file === undefined) !== (keyFile === undefined)) throw new Error(texts.bothFiles);
  const proxies = new Set(
    SERRATA_PROXY.split(',')
      .map((each) => each.trim())
      .filter(Boolean),
  );
  const isNetwork = !isOwnAddress(host);
  const missing = [
    ...(hasOwner ? [] : [texts.needsAnOwner]),
    ...(file !== undefined || proxies.size > 0 ? [] : [texts.needsEncryption]),
  ];
  if (isNetwork && missing.length > 0) throw new Error(texts.wouldOpen(host, missing));
  if (proxies.size > 0 && !hasOwner) throw new Error(texts.proxyNeedsAnOwner(SERRATA_PROXY));
  const { tls, names } =
    file !== undefined && keyFile !== undefined ? certificateIn(file, keyFile, now) : { tls: null, names: [] };
  return { host, isNetwork: isNetwork || proxies.size > 0, tls, names, proxies };
}
