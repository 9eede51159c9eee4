import 'reflect-metadata';
import { webcrypto } from 'node:crypto';
import { isIP } from 'node:net';
import {
  BasicConstraintsExtension,
  ExtendedKeyUsage,
  ExtendedKeyUsageExtension,
  KeyUsageFlags,
  KeyUsagesExtension,
  PemConverter,
  SubjectAlternativeNameExtension,
  SubjectKeyIdentifierExtension,
  AuthorityKeyIdentifierExtension,
  X509Certificate,
  X509CertificateGenerator,
} from '@peculiar/x509';
import { addDays } from 'date-fns';

/** ECDSA on the curve P-256 with SHA-256, as every browser takes it. */
const ALGORITHM = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' } as const;

/** How long an authority counts, days: it is carried to every tablet by hand. */
const AUTHORITY_DAYS = 3650;
/** How long a certificate counts, days: browsers refuse longer ones. */
const CERTIFICATE_DAYS = 397;

const keyPair = (): Promise<webcrypto.CryptoKeyPair> =>
  webcrypto.subtle.generateKey(ALGORITHM, true, ['sign', 'verify']) as Promise<webcrypto.CryptoKeyPair>;

const asPem = async (key: webcrypto.CryptoKey): Promise<string> =>
  `${PemConverter.encode(await webcrypto.subtle.exportKey('pkcs8', key), PemConverter.PrivateKeyTag)}\n`;

const serial = (): string =>
  Buffer.from(webcrypto.getRandomValues(new Uint8Array(16)))
    .toString('hex')
    .replace(/^./, '1');

/** An authority of the shop's own: whoever trusts it trusts what it signs. */
export interface Authority {
  readonly certificate: X509Certificate;
  readonly key: webcrypto.CryptoKey;
}

/** Makes an authority. @returns it, and both as PEM */
export async function makeAuthority(shop: string, now: Date): Promise<Authority & { cert: string; pem: string }> {
  const keys = await keyPair();
  const certificate = await X509CertificateGenerator.createSelfSigned({
    serialNumber: serial(),
    name: [{ CN: [`${shop}, Serrata`] }],
    notBefore: addDays(now, -1),
    notAfter: addDays(now, AUTHORITY_DAYS),
    signingAlgorithm: ALGORITHM,
    keys,
    extensions: [
      new BasicConstraintsExtension(true, 0, true),
      new KeyUsagesExtension(KeyUsageFlags.keyCertSign | KeyUsageFlags.cRLSign, true),
      await SubjectKeyIdentifierExtension.create(keys.publicKey),
    ],
  });
  return {
    certificate,
    key: keys.privateKey,
    cert: `${certificate.toString('pem')}\n`,
    pem: await asPem(keys.privateKey),
  };
}

/** An authority that was made before, of its PEM. */
export async function authorityOf(cert: string, pem: string): Promise<Authority> {
  const [key] = PemConverter.decode(pem);
  return {
    certificate: new X509Certificate(cert),
    key: await webcrypto.subtle.importKey('pkcs8', key!, ALGORITHM, true, ['sign']),
  };
}

/**
 * Makes a certificate that an authority signs.
 * @param names names and addresses that the shop is reached under
 * @returns certificate and key as PEM
 */
export async function makeCertificate(
  authority: Authority,
  names: readonly string[],
  now: Date,
): Promise<{ readonly cert: string; readonly pem: string }> {
  const keys = await keyPair();
  const certificate = await X509CertificateGenerator.create({
    serialNumber: serial(),
    subject: [{ CN: [names[0]!] }],
    issuer: authority.certificate.subject,
    notBefore: addDays(now, -1),
    notAfter: addDays(now, CERTIFICATE_DAYS),
    signingAlgorithm: ALGORITHM,
    publicKey: keys.publicKey,
    signingKey: authority.key,
    extensions: [
      new BasicConstraintsExtension(false, undefined, true),
      new KeyUsagesExtension(KeyUsageFlags.digitalSignature, true),
      new ExtendedKeyUsageExtension([ExtendedKeyUsage.serverAuth]),
      new SubjectAlternativeNameExtension(
        names.map((value) => ({ type: isIP(value) ? ('ip' as const) : ('dns' as const), value })),
      ),
      await SubjectKeyIdentifierExtension.create(keys.publicKey),
      await AuthorityKeyIdentifierExtension.create(authority.certificate.publicKey),
    ],
  });
  return { cert: `${certificate.toString('pem')}\n`, pem: await asPem(keys.privateKey) };
}
