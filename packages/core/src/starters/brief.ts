import { keyAtEnd } from '../commands/order/order.ts';
import { type Edit, type NoteRecord, newId, putRecord, type Site } from '../site/index.ts';

/** What is known of a brand beside its values, in the words of whoever builds the site. */
export interface Brief {
  /** What it feels like, and what it never does. */
  character?: string;
  /** Whom the site is for. */
  audience?: string;
  /** What visitors come to find or do. */
  visitors?: string;
  /** Content that is still to come, each a line. */
  missing?: readonly string[];
}

/** The longest name of a note. */
const NAME = 80;

/** A brief as notes: what is known stands as it is; each thing that is missing is a note that is open until it is there. */
export function briefNotes(site: Site, { character, audience, visitors, missing = [] }: Brief): Edit[] {
  const known = [
    { name: 'Character', text: character },
    { name: 'Audience', text: audience },
    { name: 'What visitors look for', text: visitors },
  ].flatMap(({ name, text }) => (text?.trim() ? [{ name, text: text.trim() }] : []));
  const wanted = missing.flatMap(line => {
    const words = line.trim();
    if (words === '') return [];
    // A long line keeps all its words.
    return [{ name: words.slice(0, NAME), text: words.length > NAME ? words : '', status: 'open' as const }];
  });
  const there = [...site.kinds.note.values()].map(it => ({ order: it.order }));
  return [...known, ...wanted].map(it => {
    const record: NoteRecord = { id: newId('n'), kind: 'note', order: keyAtEnd(there), ...it };
    there.push({ order: record.order });
    return putRecord(record);
  });
}
