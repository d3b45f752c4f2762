import { statement } from '../statement.ts';
import { utf8, type FormatWriter } from './format.ts';

/** The statement of all sheets and copies, for other programs. */
export const json: FormatWriter = {
  scope: 'job',
  write: ({ printed, names, stem }) => {
    const text = `${JSON.stringify(statement(printed, names), null, 1)}\n`;
    return Promise.resolve([{ name: `${stem}.json`, bytes: utf8(text) }]);
  },
};
