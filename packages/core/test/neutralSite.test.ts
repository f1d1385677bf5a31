import { describe, expect, it } from '@jest/globals';
import { CHECKS } from '../src/checks/index.ts';
import { addNote, setNoteStatus } from '../src/commands/index.ts';
import { publishSite } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, settingsOf } from '../src/site/index.ts';
import { briefNotes, neutralPictures, neutralSite, READY_GUIDES, readyGuide } from '../src/starters/index.ts';
import { demoSite } from './support/demo.ts';

const demo = demoSite();
const stored = (name: string) =>
  `${neutralPictures().findIndex(it => it.name === name)}`.padStart(16, 'a').concat('.webp');
const spec = READY_GUIDES.find(it => it.id === 'lichen');
if (!spec) throw new Error('no guide');

describe('a finished site as the beginning of another', () => {
  const next = neutralSite(demo, 'Carrow Bakehouse', readyGuide(spec), stored);
  it('keeps pages, their order and what stands on them', () => {
    expect([...next.kinds.page.keys()]).toEqual([...demo.kinds.page.keys()]);
    expect([...next.kinds.widget.keys()].sort()).toEqual([...demo.kinds.widget.keys()].sort());
    expect(settingsOf(next).name).toBe('Carrow Bakehouse');
  });
  it('says nothing of the brand: neither its name nor its longer words', () => {
    const words = JSON.stringify([...next.kinds.widget.values()].map(it => it.content));
    expect(words).not.toMatch(/Tolvane|early boat|Four islands, two ships|twenty minutes early/);
    expect(JSON.stringify([...next.kinds.page.values()])).not.toMatch(/Tolvane/);
    // What is left to write is told.
    expect(CHECKS.firstWordsLeft.begin().findings(next).length).toBeGreaterThan(5);
  });
  it('shows neutral pictures in the place of its own', () => {
    const files = new Set(neutralPictures().map(it => stored(it.name)));
    for (const asset of next.kinds.asset.values())
      if (asset.mime === 'image/webp') expect(files.has(asset.file)).toBe(true);
  });
  it('wears the other guide, and can be published', () => {
    const names = [...next.kinds.token.values()].map(it => it.name);
    expect(names).toEqual(expect.arrayContaining(['Moss']));
    const published = publishSite(next);
    expect([...published.files.keys()].some(it => it.endsWith('index.html'))).toBe(true);
  });
  it('leaves the site it came of as it is', () => {
    expect(settingsOf(demo).name).toBe('Tolvane Ferries');
    expect(demo.kinds.asset.get([...demo.kinds.asset.keys()][0] ?? '')?.file).toBe('abcdef0123456789.webp');
  });
});

describe('a brief', () => {
  it('becomes notes: what is known, and what is still to come', () => {
    const edits = briefNotes(demo, {
      character: ' Calm, never loud. ',
      audience: '',
      missing: ['Photographs of the crew', '  ', 'x'.repeat(120)],
    });
    const { site } = must(applyChange(demo, { edits }));
    const notes = [...site.kinds.note.values()].filter(it => !demo.kinds.note.has(it.id));
    expect(notes.map(({ name, text, status }) => ({ name, text, status }))).toEqual([
      { name: 'Character', text: 'Calm, never loud.', status: undefined },
      { name: 'Photographs of the crew', text: '', status: 'open' },
      { name: 'x'.repeat(80), text: 'x'.repeat(120), status: 'open' },
    ]);
    expect(new Set(notes.map(it => it.order)).size).toBe(3);
  });
  it('has a status that can be set and taken away', () => {
    const made = addNote(demo, 'Prices');
    const { site } = must(applyChange(demo, { edits: made.edits }));
    const note = { kind: 'note', id: made.id } as const;
    const done = must(applyChange(site, { edits: setNoteStatus(note, 'done') })).site;
    expect(done.kinds.note.get(made.id)?.status).toBe('done');
    const plain = must(applyChange(done, { edits: setNoteStatus(note, null) })).site;
    expect(plain.kinds.note.get(made.id)?.status).toBeUndefined();
  });
});
