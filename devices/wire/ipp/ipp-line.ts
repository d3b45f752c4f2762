import { Agent, request as httpRequest, type IncomingMessage } from 'node:http';
import { connect, type TLSSocket } from 'node:tls';
import { isIP, type Socket } from 'node:net';
import { problem, ProblemError, type ProblemValues } from '../../../core/base/index.ts';

/** A name and password that a printer asks for. */
export interface Login {
  readonly user: string;
  readonly password: string;
}

/** What this computer knows of how to reach a printer. */
export interface Access {
  /** The fingerprint of the certificate that somebody trusts, SHA-256 as `AB:CD:…`. */
  readonly fingerprint?: string;
  readonly login?: Login;
}

const TIMEOUT = 20_000; // ms without a sign of life
/** How long an answer may take from its first byte to its last, ms, and how many bytes it may have. */
export interface AnswerLimits {
  readonly within: number;
  readonly most: number;
}
const LIMITS: AnswerLimits = { within: 60_000, most: 2e6 };

/** The connections to one printer, kept while it is spoken to: bare, or over TLS. */
export class IppLine {
  /** As the printer calls itself: `ipp://…` or `ipps://…`. */
  readonly address: string;
  private readonly target: URL;
  private readonly access: Access;
  private readonly agent: Agent;
  private readonly limits: AnswerLimits;

  constructor(address: string, access: Access = {}, limits = LIMITS) {
    this.address = address;
    this.access = access;
    this.limits = limits;
    this.target = new URL(address.replace(/^ipp/, 'http'));
    if (!new URL(address).port) this.target.port = '631';
    this.agent = new Agent({ keepAlive: true });
    if (this.isSecure)
      Object.assign(this.agent, {
        createConnection: (_: unknown, opened: (error: Error | null, socket?: Socket) => void) => {
          this.secured().then((socket) => opened(null, socket), opened);
        },
      });
  }

  private get isSecure(): boolean {
    return this.target.protocol === 'https:';
  }

  /** Without the brackets of an address of version 6. */
  private get host(): string {
    return this.target.hostname.replace(/^\[|\]$/g, '');
  }

  close(): void {
    this.agent.destroy();
  }

  /**
   * Sends a request and gives the body of the answer. Redirects are not followed.
   * @throws ProblemError where a printer is not reached for a reason that somebody can mend
   */
  post(parts: readonly Uint8Array[]): Promise<Uint8Array> {
    const length = parts.reduce((sum, part) => sum + part.length, 0);
    const headers = { 'Content-Type': 'application/ipp', 'Content-Length': length };
    return this.send('POST', headers, parts);
  }

  /** What stands at the address, as it is given away to everybody. @throws as `post` */
  get(): Promise<Uint8Array> {
    return this.send('GET', {}, []);
  }

  private send(
    method: 'GET' | 'POST',
    headers: Readonly<Record<string, string | number>>,
    parts: readonly Uint8Array[],
  ): Promise<Uint8Array> {
    const { port, pathname, search } = this.target;
    const { login } = this.access;
    if (login && !this.isSecure) return Promise.reject(this.refusal('printer/bare-password'));
    const proof =
      login && Buffer.from(`${login.user}:${login.password}`, 'utf8').toString('base64');
    return new Promise((done, failed) => {
      const sent = httpRequest({
        agent: this.agent,
        hostname: this.host,
        port,
        path: `${pathname}${search}`,
        method,
        headers: { ...headers, ...(proof ? { Authorization: `Basic ${proof}` } : {}) },
        timeout: TIMEOUT,
      });
      sent.on('response', (answer) => {
        if (answer.statusCode !== 200) {
          answer.destroy();
          failed(this.notAnswered(answer));
        } else void this.bodyOf(answer).then(done, failed);
      });
      sent.on('timeout', () => sent.destroy(new Error('no answer')));
      sent.on('error', failed);
      for (const part of parts) sent.write(part);
      sent.end();
    });
  }

  private refusal<C extends 'printer/bare-password' | 'printer/wants-login' | 'printer/wants-tls'>(
    code: C,
    values?: Partial<ProblemValues[C]>,
  ): ProblemError {
    const { address } = this;
    return new ProblemError(problem(code, { address, ...values } as ProblemValues[C]));
  }

  /** What an answer says that is none to the request. */
  private notAnswered({ statusCode: status = 0, headers }: IncomingMessage): ProblemError {
    if (status === 426) return this.refusal('printer/wants-tls');
    if (status === 401 || status === 403) {
      const basic = /\bbasic\b/i.test(headers['www-authenticate'] ?? '');
      const known = basic || this.access.login !== undefined;
      if (status === 401 && !this.isSecure && known) return this.refusal('printer/bare-password');
      if (known)
        return this.refusal('printer/wants-login', { wrong: this.access.login !== undefined });
    }
    return new ProblemError(problem('printer/not-ipp', { host: this.target.host, status }));
  }

  private async bodyOf(answer: IncomingMessage): Promise<Uint8Array> {
    const { within, most } = this.limits;
    const late = setTimeout(() => answer.destroy(new Error('too slow')), within);
    const parts: Buffer[] = [];
    let size = 0;
    try {
      for await (const part of answer as AsyncIterable<Buffer>) {
        size += part.length;
        if (size > most) throw new ProblemError(problem('ipp/malformed', { fault: 'too-long' }));
        parts.push(part);
      }
    } finally {
      clearTimeout(late);
      if (!answer.complete) answer.destroy();
    }
    return new Uint8Array(Buffer.concat(parts));
  }

  /**
   * A connection over TLS to the printer that is meant: vouched for, or with the certificate that
   * somebody trusts. It is looked at before anything is sent.
   */
  private secured(): Promise<TLSSocket> {
    const { host } = this;
    return new Promise((done, failed) => {
      const socket = connect({
        host,
        port: Number(this.target.port || 443),
        ...(isIP(host) ? {} : { servername: host }),
        // Printers sign for themselves: who vouches for whom is judged below.
        rejectUnauthorized: false,
      });
      socket.setTimeout(TIMEOUT, () => socket.destroy(new Error('no answer')));
      socket.once('error', failed);
      socket.once('secureConnect', () => {
        const doubt = this.doubtOf(socket);
        if (doubt) {
          socket.destroy();
          return failed(doubt);
        }
        socket.setTimeout(0);
        socket.removeListener('error', failed);
        done(socket);
      });
    });
  }

  /** Why the certificate of a connection is not that of the printer that is meant. */
  private doubtOf(socket: TLSSocket): ProblemError | undefined {
    if (socket.authorized) return undefined;
    const { fingerprint256: fingerprint = '' } = socket.getPeerCertificate();
    const { fingerprint: trusted } = this.access;
    const values = { address: this.address, fingerprint };
    if (fingerprint && fingerprint === trusted) return undefined;
    return new ProblemError(
      trusted
        ? problem('printer/certificate-changed', values)
        : problem('printer/certificate-unknown', values),
    );
  }
}
