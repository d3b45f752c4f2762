import { expect, test } from '@playwright/test';

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
