import { TOKEN_HEADER } from '../../devices/protocol/index.ts';
import { problem } from '../../core/base/index.ts';
import { randomBytes, timingSafeEqual } from 'node:crypto';
import type { FastifyReply, FastifyRequest } from 'fastify';

/** The header in which a page of the application proves that it is one. */

const HOSTS = /^(localhost|127\.0\.0\.1|\[::1\])(:\d+)?$/;

/** Keeps foreign pages out of the bridge: by where they come from, and by a token that they cannot read. */
export class Guard {
  readonly token = randomBytes(24).toString('base64url');

  /** Whether a request is from this computer's own page; anything else may not even ask for the token. */
  isOwn({ headers }: Pick<FastifyRequest, 'headers'>): boolean {
    const { host, origin } = headers;
    const site = headers['sec-fetch-site'];
    // A foreign name that leads here (DNS rebinding) has a host of its own.
    if (!host || !HOSTS.test(host)) return false;
    if (origin !== undefined && origin !== `http://${host}`) return false;
    return site === undefined || site === 'same-origin';
  }

  /** Whether a request of our own page also has the token. */
  mayPass(request: Pick<FastifyRequest, 'headers'>): boolean {
    const said = request.headers[TOKEN_HEADER];
    if (typeof said !== 'string' || !this.isOwn(request)) return false;
    const [one, other] = [Buffer.from(said), Buffer.from(this.token)];
    return one.length === other.length && timingSafeEqual(one, other);
  }

  /** Answers a request that may not pass. */
  refuse(reply: FastifyReply): FastifyReply {
    return reply.code(403).send(problem('bridge/foreign', {}));
  }
}
