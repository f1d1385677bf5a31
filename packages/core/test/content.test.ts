import { describe, expect, it } from '@jest/globals';
import {
  type Content,
  type ContentField,
  type ContentTypeName,
  isEmptyContent,
  mapContent,
  printContent,
  readContent,
  referencesInContent,
  richText,
} from '../src/content/index.ts';

interface Sample {
  field: ContentField;
  good: Content;
  empty: Content;
  bad: unknown;
  /** What it mentions. */
  mentions: readonly string[];
  words: string;
}

/** Without a sample of every type this does not compile. */
const SAMPLES: Record<ContentTypeName, Sample> = {
  plain: {
    field: { type: 'plain', label: 'Label' },
    good: 'Board now',
    empty: ' ',
    bad: 3,
    mentions: [],
    words: 'Board now',
  },
  rich: {
    field: { type: 'rich', label: 'Words' },
    good: [[{ text: 'See ' }, { text: 'the tides', link: { type: 'page', page: 'tides' } }]],
    empty: richText(''),
    bad: [[{ text: 1 }]],
    mentions: ['tides'],
    words: 'See the tides',
  },
  link: {
    field: { type: 'link', label: 'Link' },
    good: { type: 'section', page: 'tides', section: 'today' },
    empty: null,
    bad: { type: 'url', href: 'javascript:alert(1)' },
    mentions: ['tides', 'today'],
    words: '',
  },
  asset: {
    field: { type: 'asset', label: 'Picture' },
    good: 'quay',
    empty: null,
    bad: 'no id!',
    mentions: ['quay'],
    words: '',
  },
  icon: {
    field: { type: 'icon', label: 'Icon' },
    good: 'ownKnot',
    empty: null,
    bad: 'no id!',
    mentions: ['ownKnot'],
    words: '',
  },
  cells: {
    field: { type: 'cells', label: 'Cells' },
    good: {
      cells: [richText('Hesk'), [[{ text: 'See the tides', link: { type: 'page', page: 'tides' } }]]],
    },
    empty: { cells: [richText(' ')] },
    bad: { cells: [richText('Hesk'), 'Carrow'] },
    mentions: ['tides'],
    words: 'Hesk | See the tides',
  },
  columns: {
    field: { type: 'columns', label: 'Columns' },
    good: {
      columns: [
        { heading: [[{ text: 'To', link: { type: 'page', page: 'tides' } }]], kind: 'words' },
        { heading: richText('Leaves'), kind: 'figures' },
      ],
    },
    empty: { columns: [] },
    bad: { columns: [{ heading: richText('To'), kind: 'sums' }] },
    mentions: ['tides'],
    words: 'To | Leaves',
  },
  choice: {
    field: { type: 'choice', label: 'Level', options: [2, 3] },
    good: 3,
    empty: 2,
    bad: 4,
    mentions: [],
    words: '',
  },
};

describe.each(Object.values(SAMPLES))(
  'content of type $field.type',
  ({ field, good, empty, bad, mentions, words }) => {
    it('reads what it prints in JSON, and nothing else', () => {
      expect(readContent(field, JSON.parse(JSON.stringify(good)))).toEqual({ ok: true, value: good });
      expect(readContent(field, bad)).toEqual({ ok: false, expected: expect.stringMatching(/\w/) });
      expect(readContent(field, { $type: 'constructor' }).ok).toBe(false);
    });

    it('tells what it mentions, and takes other mentions in their place', () => {
      expect(referencesInContent(field, good).map(it => it.to)).toEqual(mentions);
      const other = (id: string) => `${id}2`;
      const mapped = mapContent(field, good, {
        link: link =>
          link.type === 'page'
            ? { ...link, page: other(link.page) }
            : link.type === 'section'
              ? { ...link, page: other(link.page), section: other(link.section) }
              : link,
        asset: other,
        drawn: other,
      });
      expect(referencesInContent(field, mapped).map(it => it.to)).toEqual(mentions.map(other));
    });

    it('is the very same where no mention differs', () => {
      const same = { link: <T>(it: T) => it, asset: (id: string) => id, drawn: (id: string) => id };
      expect(mapContent(field, good, same)).toBe(good);
      expect(mapContent(field, null, same)).toBe(null);
    });

    it('knows when it is empty, and its words', () => {
      expect(isEmptyContent(field, good)).toBe(false);
      expect(isEmptyContent(field, empty)).toBe(field.type !== 'choice');
      expect(printContent(field, good)).toBe(words);
      expect(printContent(field, null)).toBe('');
    });
  },
);

describe('an icon of the set', () => {
  it('is no mention of anything', () => {
    const { field } = SAMPLES.icon;
    expect(referencesInContent(field, 'anchor')).toEqual([]);
  });
});
