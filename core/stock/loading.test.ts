import { loadingOf, type Feed } from './loading.ts';

const A4 = { width: 210, height: 297 };

test.each([
  // Printed on what looks up, top first: the back after a turn about the long side keeps its top.
  [{ printed: 'up', first: 'top' }, 'front', 'long', { printed: 'up', first: 'top' }],
  [{ printed: 'up', first: 'top' }, 'back', 'long', { printed: 'up', first: 'top' }],
  // About the short side top and bottom change ends.
  [{ printed: 'up', first: 'top' }, 'back', 'short', { printed: 'up', first: 'bottom' }],
  [{ printed: 'down', first: 'bottom' }, 'back', 'short', { printed: 'down', first: 'top' }],
  [{ printed: 'down', first: 'bottom' }, 'front', 'short', { printed: 'down', first: 'bottom' }],
] as const)(
  'a sheet for a tray of %j, its %s, turned about its %s side',
  (feed, side, turned, lies) => {
    expect(loadingOf(feed as Feed, A4, side, turned)).toEqual({ ...lies, page: feed.first });
  },
);

test('of a sheet that lies across only the side is known', () => {
  const feed: Feed = { printed: 'down', first: 'top' };
  expect(loadingOf(feed, { width: 297, height: 210 }, 'front')).toEqual({ printed: 'down' });
});
