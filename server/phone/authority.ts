import { webcrypto } from 'node:crypto'
import { existsSync } from 'node:fs'
import { chmod, mkdir, readFile, writeFile } from 'node:fs/promises'
import { isIP } from 'node:net'
import { join } from 'node:path'
import {
  BasicConstraintsExtension,
  cryptoProvider,
  ExtendedKeyUsage,
  ExtendedKeyUsageExtension,
  KeyUsageFlags,
  KeyUsagesExtension,
  PemConverter,
  SubjectAlternativeNameExtension,
  SubjectKeyIdentifierExtension,
  X509Certificate,
  X509CertificateGenerator,
} from '@peculiar/x509'

cryptoProvider.set(webcrypto as Crypto)

/** Everything a phone and a server need to talk over https in a house without a name on the internet. PEM */
export interface Certificates {
  readonly authority: string
  readonly certificate: string
  readonly key: string
}

const CURVE = { name: 'ECDSA', namedCurve: 'P-256' } as const
const SIGNED_BY = { ...CURVE, hash: 'SHA-256' } as const
const DAY_MS = 86_400_000
/** The authority is put on a phone by hand, so it stays long; browsers take certificates of at most 398 days. */
const AUTHORITY_DAYS = 3650
const CERTIFICATE_DAYS = 397
/** A certificate that ends sooner than this is made anew. */
const RENEW_DAYS = 30
const OWNER_ONLY = 0o600

const serial = (): string => Buffer.from(webcrypto.getRandomValues(new Uint8Array(15))).toString('hex')
const newKeys = () => webcrypto.subtle.generateKey(CURVE, true, ['sign', 'verify'])

const writeSecret = async (path: string, text: string): Promise<void> => {
  await writeFile(path, text, { mode: OWNER_ONLY })
  await chmod(path, OWNER_ONLY)
}
const keyText = async (key: CryptoKey): Promise<string> =>
  PemConverter.encode(await webcrypto.subtle.exportKey('pkcs8', key), 'PRIVATE KEY')
const keyOf = (text: string): Promise<CryptoKey> =>
  webcrypto.subtle.importKey('pkcs8', PemConverter.decodeFirst(text), CURVE, true, ['sign'])

const authorityIn = async (dir: string, now: Date): Promise<{ certificate: X509Certificate; key: CryptoKey }> => {
  const [certPath, keyPath] = [join(dir, 'authority.crt'), join(dir, 'authority.key')]
  if (existsSync(certPath) && existsSync(keyPath)) {
    const certificate = new X509Certificate(await readFile(certPath, 'utf8'))
    if (certificate.notAfter.getTime() > now.getTime() + CERTIFICATE_DAYS * DAY_MS)
      return { certificate, key: await keyOf(await readFile(keyPath, 'utf8')) }
  }
  const keys = await newKeys()
  const certificate = await X509CertificateGenerator.createSelfSigned({
    serialNumber: serial(),
    name: 'CN=Zucchini on this machine',
    notBefore: new Date(now.getTime() - DAY_MS),
    notAfter: new Date(now.getTime() + AUTHORITY_DAYS * DAY_MS),
    signingAlgorithm: SIGNED_BY,
    keys: keys as CryptoKeyPair,
    extensions: [
      new BasicConstraintsExtension(true, 0, true),
      new KeyUsagesExtension(KeyUsageFlags.keyCertSign | KeyUsageFlags.cRLSign, true),
      await SubjectKeyIdentifierExtension.create(keys.publicKey as CryptoKey),
    ],
  })
  await writeSecret(keyPath, await keyText(keys.privateKey as CryptoKey))
  await writeFile(certPath, certificate.toString('pem'))
  return { certificate, key: keys.privateKey as CryptoKey }
}

const namesIn = (certificate: X509Certificate): readonly string[] =>
  certificate.getExtension(SubjectAlternativeNameExtension)?.names.items.map(({ value }) => value) ?? []

/**
 * The authority of this machine and a certificate for its names, kept in a folder that only its owner reads; made when
 * they are missing, when the names have changed, or when the certificate soon ends.
 * @param names host names and IP addresses under which it is reached
 */
export const certificatesIn = async (
  dir: string,
  names: readonly string[],
  now = new Date(),
): Promise<Certificates> => {
  await mkdir(dir, { recursive: true, mode: 0o700 })
  const authority = await authorityIn(dir, now)
  const [certPath, keyPath] = [join(dir, 'server.crt'), join(dir, 'server.key')]
  const whole = async (certificate: string, key: string): Promise<Certificates> => ({
    authority: authority.certificate.toString('pem'),
    certificate,
    key,
  })
  if (existsSync(certPath) && existsSync(keyPath)) {
    const text = await readFile(certPath, 'utf8')
    const known = new X509Certificate(text)
    const stands =
      known.notAfter.getTime() > now.getTime() + RENEW_DAYS * DAY_MS &&
      names.every((name) => namesIn(known).includes(name)) &&
      (await known.verify({ publicKey: authority.certificate.publicKey, date: now }))
    if (stands) return whole(text, await readFile(keyPath, 'utf8'))
  }
  const keys = await newKeys()
  const certificate = await X509CertificateGenerator.create({
    serialNumber: serial(),
    subject: 'CN=Zucchini',
    issuer: authority.certificate.subject,
    notBefore: new Date(now.getTime() - DAY_MS),
    notAfter: new Date(now.getTime() + CERTIFICATE_DAYS * DAY_MS),
    signingAlgorithm: SIGNED_BY,
    publicKey: keys.publicKey as CryptoKey,
    signingKey: authority.key,
    extensions: [
      new BasicConstraintsExtension(false, undefined, true),
      new KeyUsagesExtension(KeyUsageFlags.digitalSignature, true),
      new ExtendedKeyUsageExtension([ExtendedKeyUsage.serverAuth]),
      new SubjectAlternativeNameExtension(
        names.map((value) => ({ type: isIP(value) ? ('ip' as const) : ('dns' as const), value })),
      ),
    ],
  })
  const key = await keyText(keys.privateKey as CryptoKey)
  await writeSecret(keyPath, key)
  await writeFile(certPath, certificate.toString('pem'))
  return whole(certificate.toString('pem'), key)
}
