import type { HouseStyle } from '../../../../core/designs/index.ts';
import type { Job } from '../../../../core/job/index.ts';
import type { NamedField } from '../../../../core/piece/index.ts';
import { FIELD_LANGUAGES, type FieldLanguageCode } from '../../../../messages/index.ts';

const isKnown = (code: string): code is FieldLanguageCode => code in FIELD_LANGUAGES;

/** The language of the names that are printed before fields, and those names. */
export function printedNames(job: Job | undefined): {
  language: FieldLanguageCode;
  names: Readonly<Record<NamedField, string>>;
} {
  const { language = 'en', names } = job?.fields ?? {};
  const known = isKnown(language) ? language : 'en';
  return { language: known, names: { ...FIELD_LANGUAGES[known].names, ...names } };
}

/** How fields are printed on the labels of a job. */
export const printedFields = (
  job: Job | undefined,
  house: HouseStyle,
): {
  names: Readonly<Record<NamedField, string>>;
  emphasis: readonly string[];
} => ({
  names: printedNames(job).names,
  emphasis: job?.fields?.emphasis ?? house.emphasis,
});
