import { statement } from '../statement.ts';
import { utf8, type FormatWriter } from './format.ts';

/** The statement of all sheets and copies, for other programs. */
export const json: FormatWriter = {
  scope: 'all',
  write: ({ things, stem }) => {
    const text = `${JSON.stringify(statement(things), null, 1)}\n`;
    return Promise.resolve([{ name: `${stem}.json`, bytes: utf8(text) }]);
  },
};
