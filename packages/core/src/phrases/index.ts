import { ar } from './languages/ar.ts';
import { de } from './languages/de.ts';
import { en } from './languages/en.ts';
import { es } from './languages/es.ts';
import { fr } from './languages/fr.ts';
import { it } from './languages/it.ts';
import { nl } from './languages/nl.ts';
import type { Language, PhraseName } from './phrase.ts';

export { type Language, PHRASE_NAMES, PHRASES, type PhraseName } from './phrase.ts';

/** Languages in which the program can say all that it says on published pages. */
export const LANGUAGES: readonly Language[] = [en, ar, de, es, fr, it, nl];

const languageOf = (tag: string): Language =>
  LANGUAGES.find(it => it.code === tag.toLowerCase().split('-')[0]) ?? en;

/** What the program says in a language, given as a BCP 47 tag; English where it does not speak it. */
export const phraseIn = (tag: string, name: PhraseName): string => languageOf(tag).phrases[name];

/** Scripts that are written from right to left (Unicode CLDR 46, script metadata). */
const LEFTWARD = new Set('Adlm Arab Hebr Mand Mend Nkoo Rohg Samr Syrc Thaa Yezi'.split(' '));

/** Which way a language is written, by the script that it is most likely in (UTS 35, likely subtags). */
export function directionOf(tag: string): 'ltr' | 'rtl' {
  try {
    const { script = '' } = new Intl.Locale(tag).maximize();
    return LEFTWARD.has(script) ? 'rtl' : 'ltr';
  } catch {
    return 'ltr';
  }
}
