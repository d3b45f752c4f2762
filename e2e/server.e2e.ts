import { request as httpRequest } from 'node:http';
import { expect, test } from '@playwright/test';

/** The status and body of an address as it is written, without a browser tidying it up. */
const raw = (baseURL: string | undefined, path: string): Promise<string> =>
  new Promise((done, fail) => {
    httpRequest(`${baseURL}`, { path }, (answer) => {
      let body = `${answer.statusCode} `;
      answer.on('data', (part: Buffer) => (body += part.toString('latin1')));
      answer.on('end', () => done(body));
    })
      .on('error', fail)
      .end();
  });

test('a place of the workshop is answered by the page, what is not there is not', async ({
  request,
}) => {
  expect(await (await request.get('/job/anything/artwork')).text()).toContain(
    '<title>Little Peel</title>',
  );
  expect((await request.get('/gone.js')).status()).toBe(404);
  expect(await (await request.get('/api/gone')).json()).toMatchObject({ code: 'server/not-found' });
  expect((await request.post('/')).status()).toBe(404);
  expect(await (await request.get('/..%2fpackage.json')).text()).not.toContain('"dependencies"');
});

test('a page may only talk to its own origin', async ({ request }) => {
  const policy = (await request.get('/')).headers()['content-security-policy'] ?? '';
  expect(policy).toContain("default-src 'self'");
  expect(policy).not.toMatch(/https?:|\*/);
});

test('nothing outside its folder is given away', async ({ baseURL }) => {
  for (const path of ['/../package.json', '/assets/../../package.json', '/%2e%2e/package.json']) {
    expect(await raw(baseURL, path)).not.toContain('"dependencies"');
  }
});

test('scripts run from its own files only, and no page may frame it', async ({ request }) => {
  const headers = (await request.get('/')).headers();
  const policy = headers['content-security-policy'] ?? '';
  expect(policy).toMatch(/script-src 'self' 'wasm-unsafe-eval'(;|$)/);
  expect(policy).toContain("frame-ancestors 'none'");
  expect(headers['x-content-type-options']).toBe('nosniff');
});

test('files named by content are kept by the browser, everything else is asked for anew', async ({
  request,
}) => {
  const page = await request.get('/');
  expect(page.headers()['cache-control']).toBe('no-cache');
  const script = /src="(\/assets\/[^"]+\.js)"/.exec(await page.text())?.[1];
  expect((await request.get(script ?? '/none')).headers()['cache-control']).toContain('immutable');
});
