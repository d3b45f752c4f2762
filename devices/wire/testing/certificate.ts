import { execFileSync } from 'node:child_process';
import { X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** A certificate that a device made for itself: PEM, and its fingerprint (SHA-256). */
export function ownCertificate(): { key: string; cert: string; fingerprint: string } {
  const folder = mkdtempSync(join(tmpdir(), 'peel-certificate-'));
  const [key, cert] = [join(folder, 'key.pem'), join(folder, 'cert.pem')];
  const kind = ['-x509', '-newkey', 'ec', '-pkeyopt', 'ec_paramgen_curve:prime256v1', '-nodes'];
  const files = ['-keyout', key, '-out', cert, '-days', '30', '-subj', '/CN=bench-printer'];
  execFileSync('openssl', ['req', ...kind, ...files], { stdio: 'ignore' });
  const pem = readFileSync(cert, 'utf8');
  return {
    key: readFileSync(key, 'utf8'),
    cert: pem,
    fingerprint: new X509Certificate(pem).fingerprint256,
  };
}
