import { createPrivateKey, webcrypto, X509Certificate } from 'node:crypto';
import { AsnConvert } from '@peculiar/asn1-schema';
import { GeneralName, GeneralSubtree, GeneralSubtrees, NameConstraints } from '@peculiar/asn1-x509';
import {
  AuthorityKeyIdentifierExtension,
  BasicConstraintsExtension,
  ExtendedKeyUsage,
  ExtendedKeyUsageExtension,
  Extension,
  KeyUsageFlags,
  KeyUsagesExtension,
  PemConverter,
  SubjectAlternativeNameExtension,
  SubjectKeyIdentifierExtension,
  X509Certificate as Certificate,
  X509CertificateGenerator,
} from '@peculiar/x509';
import { HOUSE_ENDINGS, HOUSE_RANGES, type Names } from './names';

/** A key and the certificate that goes with it, both as PEM. */
export interface Pair {
  readonly key: string;
  readonly certificate: string;
}

const KIND = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' } as const;
const NAME_CONSTRAINTS = '2.5.29.30';
const DAY_MS = 86_400_000;
/** As long as a computer lasts: a tablet asks a person to trust it once. */
const AUTHORITY_DAYS = 3650;
/** Tablets turn away a server's certificate that runs longer than 398 days. */
const SERVER_DAYS = 390;
/** A clock in the house may be slow. */
const SLACK_DAYS = 2;

const pemOf = (key: webcrypto.CryptoKey): Promise<string> =>
  webcrypto.subtle.exportKey('pkcs8', key).then((der) => PemConverter.encode(der, 'PRIVATE KEY'));
const newKeys = (): Promise<webcrypto.CryptoKeyPair> =>
  webcrypto.subtle.generateKey(KIND, true, ['sign', 'verify']) as Promise<webcrypto.CryptoKeyPair>;
const during = (days: number, now: Date) => ({
  notBefore: new Date(now.getTime() - SLACK_DAYS * DAY_MS),
  notAfter: new Date(now.getTime() + days * DAY_MS),
});

/**
 * What the authority may vouch for: names and numbers within a house, and nothing else. Whoever took its key could not
 * pass for a bank with a tablet that trusts it (RFC 5280, 4.2.1.10).
 */
function withinTheHouse(): Extension {
  const bases = [
    ...HOUSE_ENDINGS.map((dNSName) => new GeneralName({ dNSName })),
    ...HOUSE_RANGES.map((iPAddress) => new GeneralName({ iPAddress })),
  ];
  const permittedSubtrees = new GeneralSubtrees(bases.map((base) => new GeneralSubtree({ base })));
  return new Extension(NAME_CONSTRAINTS, true, AsnConvert.serialize(new NameConstraints({ permittedSubtrees })));
}

/** Makes an authority of its own for one book. @param called what a person reads among those a tablet trusts */
export async function makeAuthority(called: string, now: Date): Promise<Pair> {
  const keys = await newKeys();
  const certificate = await X509CertificateGenerator.createSelfSigned({
    name: [{ CN: [called] }],
    ...during(AUTHORITY_DAYS, now),
    signingAlgorithm: KIND,
    keys,
    extensions: [
      // It vouches for servers, and for no further authority.
      new BasicConstraintsExtension(true, 0, true),
      new KeyUsagesExtension(KeyUsageFlags.keyCertSign | KeyUsageFlags.cRLSign, true),
      await SubjectKeyIdentifierExtension.create(keys.publicKey),
      withinTheHouse(),
    ],
  });
  return { key: await pemOf(keys.privateKey), certificate: certificate.toString('pem') };
}

/** Vouches for a server of these names. */
export async function certify(authority: Pair, { hosts, addresses }: Names, now: Date): Promise<Pair> {
  const issuer = new Certificate(authority.certificate);
  const signingKey = await webcrypto.subtle.importKey('pkcs8', PemConverter.decodeFirst(authority.key), KIND, false, [
    'sign',
  ]);
  const keys = await newKeys();
  const certificate = await X509CertificateGenerator.create({
    subject: [{ CN: [hosts[0] ?? 'yaylak.local'] }],
    issuer: issuer.subjectName,
    ...during(SERVER_DAYS, now),
    signingAlgorithm: KIND,
    publicKey: keys.publicKey,
    signingKey,
    extensions: [
      new BasicConstraintsExtension(false, undefined, true),
      new KeyUsagesExtension(KeyUsageFlags.digitalSignature, true),
      new ExtendedKeyUsageExtension([ExtendedKeyUsage.serverAuth]),
      new SubjectAlternativeNameExtension([
        ...hosts.map((value) => ({ type: 'dns' as const, value })),
        ...addresses.map((value) => ({ type: 'ip' as const, value })),
      ]),
      await SubjectKeyIdentifierExtension.create(keys.publicKey),
      await AuthorityKeyIdentifierExtension.create(issuer),
    ],
  });
  return { key: await pemOf(keys.privateKey), certificate: certificate.toString('pem') };
}

/** Whether a server's certificate is good for these names and a month to come; a damaged one is not. */
export function isGoodFor(server: Pair, authority: Pair, { hosts, addresses }: Names, now: Date): boolean {
  try {
    const read = new X509Certificate(server.certificate);
    const until = new Date(read.validTo).getTime() - 30 * DAY_MS;
    return (
      until > now.getTime() &&
      // The two are written one after the other; the plug may have been pulled in between.
      read.checkPrivateKey(createPrivateKey(server.key)) &&
      read.verify(new X509Certificate(authority.certificate).publicKey) &&
      hosts.every((host) => read.checkHost(host) !== undefined) &&
      addresses.every((address) => read.checkIP(address) !== undefined)
    );
  } catch {
    return false;
  }
}

/** What two screens compare, so that nobody slips another authority in between: the SHA-256 of the certificate. */
export const fingerprintOf = ({ certificate }: Pick<Pair, 'certificate'>): string =>
  new X509Certificate(certificate).fingerprint256;
