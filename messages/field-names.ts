import type { NamedField } from '../core/piece/index.ts';

/** A language in which the names of fields are printed on labels, by its own name. */
interface FieldLanguage {
  readonly language: string;
  readonly names: Readonly<Record<NamedField, string>>;
}

/** What is printed before a field, in the languages of those who read labels. */
export const FIELD_LANGUAGES = {
  en: {
    language: 'English',
    names: {
      ingredients: 'Ingredients',
      use: 'Use',
      warnings: 'Take care',
      'best-before': 'Best before',
      batch: 'Batch',
    },
  },
  da: {
    language: 'Dansk',
    names: {
      ingredients: 'Ingredienser',
      use: 'Brug',
      warnings: 'Advarsel',
      'best-before': 'Bedst før',
      batch: 'Parti',
    },
  },
  de: {
    language: 'Deutsch',
    names: {
      ingredients: 'Zutaten',
      use: 'Anwendung',
      warnings: 'Hinweis',
      'best-before': 'Mindestens haltbar bis',
      batch: 'Charge',
    },
  },
  es: {
    language: 'Español',
    names: {
      ingredients: 'Ingredientes',
      use: 'Modo de empleo',
      warnings: 'Advertencias',
      'best-before': 'Consumir preferentemente antes de',
      batch: 'Lote',
    },
  },
  fr: {
    language: 'Français',
    names: {
      ingredients: 'Ingrédients',
      use: 'Mode d’emploi',
      warnings: 'Attention',
      'best-before': 'À consommer de préférence avant le',
      batch: 'Lot',
    },
  },
  it: {
    language: 'Italiano',
    names: {
      ingredients: 'Ingredienti',
      use: 'Modo d’uso',
      warnings: 'Avvertenze',
      'best-before': 'Da consumarsi preferibilmente entro',
      batch: 'Lotto',
    },
  },
  nl: {
    language: 'Nederlands',
    names: {
      ingredients: 'Ingrediënten',
      use: 'Gebruik',
      warnings: 'Let op',
      'best-before': 'Ten minste houdbaar tot',
      batch: 'Partij',
    },
  },
  pl: {
    language: 'Polski',
    names: {
      ingredients: 'Składniki',
      use: 'Sposób użycia',
      warnings: 'Uwaga',
      'best-before': 'Najlepiej spożyć przed',
      batch: 'Partia',
    },
  },
  pt: {
    language: 'Português',
    names: {
      ingredients: 'Ingredientes',
      use: 'Modo de usar',
      warnings: 'Atenção',
      'best-before': 'Consumir de preferência antes de',
      batch: 'Lote',
    },
  },
  sv: {
    language: 'Svenska',
    names: {
      ingredients: 'Ingredienser',
      use: 'Användning',
      warnings: 'Varning',
      'best-before': 'Bäst före',
      batch: 'Parti',
    },
  },
} as const satisfies Record<string, FieldLanguage>;

export type FieldLanguageCode = keyof typeof FIELD_LANGUAGES;
