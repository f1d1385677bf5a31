import {
  FAMILY_KINDS,
  type Family,
  type FamilyKind,
  familiesOf,
  familyIn,
  familyValue,
  hasItalic,
  PAIRINGS,
  type Pairing,
  type Site,
  speakWith,
  takePairing,
  type WidthClass,
  weightsOf,
  widthClass,
} from '@cove/core';
import { type CSSProperties, useDeferredValue, useMemo, useState } from 'react';
import { familyCss } from '../../drawings/drawn.ts';
import { useCommit, useSession } from '../../session/context.tsx';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { Select } from '../../ui/Select.tsx';
import { Sheet } from '../../ui/Sheet.tsx';
import { OwnFonts } from './OwnFonts.tsx';
import { type SiteWords, wordsOf } from './wordsOf.ts';

type Shown = 'families' | 'pairings' | 'own';
const KIND_NAMES: Record<FamilyKind, string> = {
  sans: 'sans',
  serif: 'serif',
  slab: 'slab',
  display: 'display',
  mono: 'mono',
  hand: 'by hand',
};

interface Wanted {
  words: string;
  kind: FamilyKind | '';
  width: WidthClass | '';
  cuts: '' | 'italic' | 'light' | 'black';
}

function fits(family: Family, { words, kind, width, cuts }: Wanted): boolean {
  const range = weightsOf(family);
  return (
    family.name.toLowerCase().includes(words.trim().toLowerCase()) &&
    (kind === '' || family.kind === kind) &&
    (width === '' || widthClass(family) === width) &&
    (cuts === '' ||
      (cuts === 'italic' && hasItalic(family)) ||
      (cuts === 'light' && range !== null && range[0] <= 300) ||
      (cuts === 'black' && range !== null && range[1] >= 900))
  );
}

const kilobytes = (family: Family): string =>
  family.files.length === 0
    ? 'no bytes: the reader’s own'
    : `${Math.round((family.files.find(it => it.cut === 'normal')?.bytes ?? 0) / 1024)} KB`;

const letters = (family: Family): CSSProperties => ({ fontFamily: familyCss(familyValue(family)) });

/** A button whose name is a few words and whose reach is all that stands around it. */
const COVERING =
  'text-small font-semibold after:absolute after:inset-0 hover:text-teal aria-pressed:text-teal';

/** A title and a few lines, set in the letters that are looked at; its words are told elsewhere. */
const Sample = ({ words, title, text }: { words: SiteWords; title: CSSProperties; text: CSSProperties }) => (
  <span aria-hidden className="mb-1 block">
    <span className="block truncate text-[23px] leading-tight" style={title}>
      {words.title}
    </span>
    <span className="line-clamp-2 text-[14px] leading-snug" style={text}>
      {words.text}
    </span>
  </span>
);

/** The catalogue of families, pairings that go well together, and the site's own fonts, all in the site's own words. */
export function VoiceSheet({ site, onClose }: { site: Site; onClose(): void }) {
  const commit = useCommit();
  const session = useSession();
  const voices = [...site.kinds.token.values()].filter(it => it.type === 'fontFamily');
  const [shown, setShown] = useState<Shown>('families');
  const [voice, setVoice] = useState(voices[0]?.id ?? '');
  const [wanted, setWanted] = useState<Wanted>({ words: '', kind: '', width: '', cuts: '' });
  const settled = useDeferredValue(wanted);
  const families = useMemo(() => familiesOf(site).filter(it => fits(it, settled)), [site, settled]);
  const words = useMemo(() => wordsOf(site), [site]);
  const chosen = voices.find(it => it.id === voice);
  const current = chosen?.value.type === 'fontFamily' ? chosen.value.value[0] : null;

  const take = (family: Family) =>
    chosen && commit([speakWith(chosen, family)], `${chosen.name} speaks with ${family.name}`);
  const preview = (family: Family | null) =>
    session.show(family && chosen ? [speakWith(chosen, family)] : null);
  const pair = (pairing: Pairing) => commit(takePairing(site, pairing), `Take the pairing ${pairing.name}`);
  return (
    <Sheet
      title="Voices"
      about={`Families with open licences, shipped with the program; seen in the words of ${words.site}`}
      onClose={() => {
        preview(null);
        onClose();
      }}
      wide
    >
      <div className="mb-3 flex flex-wrap items-end gap-4">
        <Choice<Shown>
          label="Show"
          value={shown}
          options={[
            { value: 'families', label: 'Families' },
            { value: 'pairings', label: 'Pairings' },
            { value: 'own', label: 'Your fonts' },
          ]}
          onChange={setShown}
        />
        {shown === 'families' && (
          <>
            <Select
              label="For the voice"
              className="w-32"
              value={voice}
              options={voices.map(it => ({ value: it.id, label: it.name }))}
              onChange={setVoice}
            />
            <div>
              <label className="label-line mb-0.5 block" htmlFor="family-name">
                Name
              </label>
              <input
                id="family-name"
                type="search"
                value={wanted.words}
                onChange={event => setWanted({ ...wanted, words: event.target.value })}
                className="h-6 w-36 rounded-sm border border-hair bg-paper px-1.5"
              />
            </div>
            <Select
              label="Kind"
              className="w-28"
              value={wanted.kind}
              options={[
                { value: '', label: 'any' },
                ...FAMILY_KINDS.map(it => ({ value: it, label: KIND_NAMES[it] })),
              ]}
              onChange={kind => setWanted({ ...wanted, kind: FAMILY_KINDS.find(it => it === kind) ?? '' })}
            />
            <Select
              label="Width"
              className="w-24"
              value={wanted.width}
              options={['', 'narrow', 'usual', 'wide'].map(it => ({ value: it, label: it || 'any' }))}
              onChange={width =>
                setWanted({
                  ...wanted,
                  width: (['narrow', 'usual', 'wide'] as const).find(it => it === width) ?? '',
                })
              }
            />
            <Select
              label="Has"
              className="w-32"
              value={wanted.cuts}
              options={[
                { value: '', label: 'anything' },
                { value: 'italic', label: 'a true italic' },
                { value: 'light', label: 'light weights' },
                { value: 'black', label: 'black weights' },
              ]}
              onChange={cuts =>
                setWanted({
                  ...wanted,
                  cuts: (['italic', 'light', 'black'] as const).find(it => it === cuts) ?? '',
                })
              }
            />
          </>
        )}
      </div>
      {shown === 'families' &&
        (families.length === 0 ? (
          <p className="text-muted">No family matches.</p>
        ) : (
          <ul aria-label="Families" className="grid grid-cols-3 gap-x-5">
            {families.map(family => (
              <li key={family.name} className="relative border-t border-hair py-2">
                <Sample
                  words={words}
                  title={{ ...letters(family), fontWeight: 600 }}
                  text={letters(family)}
                />
                <button
                  type="button"
                  aria-pressed={family.name === current}
                  aria-label={family.name}
                  onPointerEnter={() => preview(family)}
                  onPointerLeave={() => preview(null)}
                  onClick={() => take(family)}
                  className={COVERING}
                >
                  {family.name}
                </button>
                <p className="flex gap-2 text-small text-muted">
                  {KIND_NAMES[family.kind]}, {weightsOf(family)?.join('–') ?? 'any weight'}
                  {hasItalic(family) ? '' : ', no italic'}
                  <span className="ml-auto font-mono text-[11px]">{kilobytes(family)}</span>
                </p>
              </li>
            ))}
          </ul>
        ))}
      {shown === 'pairings' && (
        <ul aria-label="Pairings" className="grid grid-cols-3 gap-x-5">
          {PAIRINGS.map(pairing => {
            const of = (name: string) => {
              const family = familyIn(site, name);
              return family ? letters(family) : {};
            };
            return (
              <li key={pairing.name} className="relative border-t border-hair py-2">
                <Sample
                  words={words}
                  title={{ ...of(pairing.heading), fontWeight: 700 }}
                  text={of(pairing.text)}
                />
                <button
                  type="button"
                  aria-label={`Pairing ${pairing.name}`}
                  onClick={() => pair(pairing)}
                  className={COVERING}
                >
                  {pairing.name}
                </button>
                <p className="text-small text-muted">
                  {pairing.sound}: {pairing.heading}
                  {pairing.text !== pairing.heading && `, ${pairing.text}`}
                  {pairing.accent && `, ${pairing.accent}`}
                </p>
              </li>
            );
          })}
        </ul>
      )}
      {shown === 'own' && <OwnFonts site={site} />}
      <p className="mt-4 text-small text-muted">
        Licences: SIL Open Font License 1.1 for every family shipped with the program, unless said otherwise.
        {shown === 'families' && ' Pointing at a family shows it in the guide; a click keeps it.'}
      </p>
      <div className="mt-2 text-right">
        <Button kind="line" onClick={onClose}>
          Done
        </Button>
      </div>
    </Sheet>
  );
}
