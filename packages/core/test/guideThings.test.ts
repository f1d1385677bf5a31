import { describe, expect, it } from '@jest/globals';
import {
  addAsset,
  addDrawings,
  addFont,
  addNote,
  applyChange,
  byOrder,
  type Edit,
  familyIn,
  must,
  PAIRINGS,
  pinPicture,
  type Site,
  setNote,
  speakWith,
  takePairing,
  unpinPicture,
} from '../src/index.ts';
import { demoSite } from './support/demo.ts';

const demo = demoSite();

const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const voices = (site: Site) => [...site.kinds.token.values()].filter(it => it.type === 'fontFamily');
const spoken = (site: Site, name: string) => {
  const value = voices(site).find(it => it.name === name)?.value;
  return value?.type === 'fontFamily' ? value.value[0] : null;
};

describe('a pairing', () => {
  it.each(PAIRINGS.map(it => [it.name, it] as const))('%s: its voices speak with it', (_, pairing) => {
    const taken = after(demo, takePairing(demo, pairing));
    expect(spoken(taken, 'Heading')).toBe(pairing.heading);
    expect(spoken(taken, 'Text')).toBe(pairing.text);
    if (pairing.accent !== null) expect(spoken(taken, 'Accent')).toBe(pairing.accent);
  });
  it('without an accent leaves the accent of the guide alone', () => {
    const [first] = PAIRINGS;
    if (!first) throw new Error('no pairings');
    const before = spoken(demo, 'Accent');
    expect(spoken(after(demo, takePairing(demo, { ...first, accent: null })), 'Accent')).toBe(before);
  });
  it('adds a voice that the guide has not, beside the others, and leaves out a family that is not at hand', () => {
    const [first] = PAIRINGS;
    const accent = PAIRINGS.find(it => it.accent !== null)?.accent ?? null;
    const named = voices(demo).filter(it => it.name === 'Accent');
    const renamed = after(
      demo,
      named.map(({ id }): Edit => ({ op: 'set', id, path: ['name'], value: 'Signal' })),
    );
    if (!first) throw new Error('no pairings');
    const taken = after(renamed, takePairing(renamed, { ...first, accent, text: 'Nobody Sans' }));
    expect(spoken(taken, 'Accent')).toBe(accent);
    expect(spoken(taken, 'Text')).toBe(spoken(demo, 'Text'));
    expect(voices(taken).find(it => it.name === 'Accent')?.group).toBe(voices(demo)[0]?.group);
  });
  it('and one family by itself change a voice and nothing else', () => {
    const [voice] = voices(demo);
    const family = familyIn(demo, PAIRINGS[0]?.text ?? '');
    if (!voice || !family) throw new Error('no voice');
    expect(speakWith(voice, family)).toMatchObject({ op: 'set', id: voice.id, path: ['value'] });
    expect(spoken(after(demo, [speakWith(voice, family)]), voice.name)).toBe(family.name);
  });
});

describe('a note', () => {
  const made = addNote(demo, 'Tone');
  const site = after(demo, made.edits);
  const noteIn = (it: Site) => {
    const note = it.kinds.note.get(made.id);
    if (!note) throw new Error('no note');
    return note;
  };
  const [one = '', two = ''] = [...demo.kinds.asset.keys()];

  it('stands last, under a name of its own', () => {
    expect([...site.kinds.note.values()].sort(byOrder).at(-1)?.id).toBe(made.id);
    const again = after(site, addNote(site, 'Tone').edits);
    expect(new Set([...again.kinds.note.values()].map(it => it.name)).size).toBe(again.kinds.note.size);
  });
  it('has pictures pinned to it in order, each once, and none is left where the last is taken off', () => {
    const first = after(site, pinPicture(noteIn(site), one));
    const both = after(first, pinPicture(noteIn(first), two));
    const pinned = Object.entries(noteIn(both).pictures ?? {}).sort(([, a], [, b]) => (a < b ? -1 : 1));
    expect(pinned.map(([id]) => id)).toEqual([one, two]);
    expect(pinPicture(noteIn(both), one)).toEqual([]);
    const left = after(both, unpinPicture(noteIn(both), one));
    expect(Object.keys(noteIn(left).pictures ?? {})).toEqual([two]);
    expect(unpinPicture(noteIn(left), one)).toEqual([]);
    const none = after(left, unpinPicture(noteIn(left), two));
    expect(noteIn(none)).not.toHaveProperty('pictures');
  });
  it('on something of the guide goes where it is emptied', () => {
    const [scheme] = demo.kinds.scheme.values();
    if (!scheme) throw new Error('no scheme');
    const noted = after(demo, setNote(scheme, 'For evenings'));
    expect(noted.kinds.scheme.get(scheme.id)?.note).toBe('For evenings');
    expect(after(noted, setNote(scheme, '')).kinds.scheme.get(scheme.id)).not.toHaveProperty('note');
  });
});

describe('a file that was kept', () => {
  const facts = { file: 'abcdef0123456789abcd.webp', mime: 'image/webp', width: 800, height: 600 };
  it('is put down once: the same file again is the record there is', () => {
    const made = addAsset(demo, facts, 'Quay');
    const site = after(demo, made.edits);
    expect(site.kinds.asset.get(made.id)).toMatchObject({ name: 'Quay', ...facts });
    expect(addAsset(site, facts, 'Quay again')).toEqual({ id: made.id, edits: [] });
  });
  it('and a font likewise', () => {
    const font = {
      family: 'Quay Sans',
      cut: 'normal',
      weightFrom: 400,
      weightTo: 400,
      file: 'abcdef0123456789abcd.woff2',
      format: 'woff2',
      bytes: 1200,
      metrics: { ascent: 900, descent: -200, lineGap: 0, unitsPerEm: 1000, xWidthAvg: 500 },
    } as const;
    const site = after(demo, addFont(demo, font));
    expect([...site.kinds.font.values()].some(it => it.family === 'Quay Sans')).toBe(true);
    expect(addFont(site, font)).toEqual([]);
  });
  it('of drawings keeps the order they come in, under names of their own', () => {
    const drawing = {
      name: 'Anchor',
      use: 'icon',
      width: 24,
      height: 24,
      paths: [...demo.kinds.drawing.values()][0]?.paths ?? [],
    } as const;
    const site = after(demo, addDrawings(demo, [drawing, drawing]));
    const all = [...site.kinds.drawing.values()].sort(byOrder);
    expect(all.slice(-2).map(it => it.name)).toEqual(['Anchor', 'Anchor 2']);
    expect(all).toHaveLength(demo.kinds.drawing.size + 2);
  });
});
