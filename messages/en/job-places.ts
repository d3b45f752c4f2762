import type { JobPlace, PlaceStep } from '../../core/base/index.ts';

const PARTS: Readonly<Record<string, string>> = {
  job: 'the job',
  name: 'the name of the job',
  today: 'the date of the job',
  thing: 'the thing',
  pieces: 'the pieces',
  stock: 'the sheet',
  material: 'the material',
  plan: 'the sheet plan',
  list: 'the list',
  oneOffs: 'what single copies have of their own',
  accepted: 'the accepted findings',
  art: 'the art',
  typefaces: 'the typefaces',
  design: 'the design',
};

function stepText(step: PlaceStep): string {
  switch (step.of) {
    case 'part':
      return PARTS[step.name] ?? step.name;
    case 'field':
      return step.name;
    case 'art':
      return step.name === undefined ? 'the art' : `“${step.name}”`;
    case 'typeface':
      return step.name === undefined ? 'the typefaces' : `“${step.name}”`;
    case 'piece':
      return step.name === undefined ? `piece ${step.number}` : `“${step.name}”`;
    case 'element': {
      const kind = step.kind ?? `element ${step.number}`;
      return step.title === undefined ? kind : `${kind} “${step.title}”`;
    }
    case 'row':
      return `row ${step.number} of the list`;
  }
}

/** Where in a job something stands, as its people would say it: `“Seal”, words “Mint”, size`. */
export const placeText = (place: JobPlace): string => place.map(stepText).join(', ');
