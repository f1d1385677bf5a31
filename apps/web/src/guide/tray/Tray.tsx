import {
  byOrder,
  type Foundation,
  groupBy,
  type Id,
  presetsOfUse,
  type Site,
  settingsOf,
  type TokenType,
  type Value,
} from '@cove/core';
import { FACES } from '../../canvas/styleEngine.ts';
import { Button } from '../../ui/Button.tsx';
import { useStyleText } from '../../ui/useStyleText.ts';
import { Drawings } from '../drawings/Drawings.tsx';
import { Gradients } from './Gradients.tsx';
import { Chapter, ResetFoundation } from './Group.tsx';
import { Motion } from './Motion.tsx';
import { Movements } from './Movements.tsx';
import { Notes } from './Notes.tsx';
import { Presets } from './Presets.tsx';
import { Scale } from './Scale.tsx';
import { Schemes } from './Schemes.tsx';
import { Shadows } from './Shadows.tsx';
import { SideMargin } from './SideMargin.tsx';
import { type Drawing, Sizes } from './Sizes.tsx';
import { Swatches } from './Swatches.tsx';
import { TextStyles } from './TextStyles.tsx';
import { UsedPresets } from './UsedPresets.tsx';
import { Voices } from './Voices.tsx';

/** What opens in place of the bench, as the address names it. */
export type Panel =
  | { preset: Id }
  | { scheme: Id }
  | { style: Id }
  | { guides: Foundation | '' }
  | { ground: '' };

interface Props {
  site: Site;
  /** Token whose editor is open. */
  open: Id | null;
  onOpen(id: Id | null): void;
  /** Opens a preset, scheme or text style beside the sheet. */
  onPanel(panel: Panel): void;
}

const rem = (value: number): Value => ({ type: 'dimension', value: { value, unit: 'rem' } });
const px = (value: number): Value => ({ type: 'dimension', value: { value, unit: 'px' } });

/** Groups of sizes that every guide has, and how they are drawn; a guide may have more. */
const SPACE: Readonly<Record<string, { noun: string; start: Value }>> = {
  Space: { noun: 'Space', start: rem(1) },
  'Section padding': { noun: 'Section padding', start: rem(4) },
  Page: { noun: 'Page', start: rem(60) },
};
const SHAPE: Readonly<Record<string, { noun: string; start: Value; drawing: Drawing }>> = {
  Corners: { noun: 'Corner', start: rem(0.5), drawing: 'corners' },
  Lines: { noun: 'Line', start: px(1), drawing: 'lines' },
};

/** Foundations, drawn as what they are, in the order in which a guide is set up; each alters the whole sheet under the hand. */
export function Tray({ site, open, onOpen, onPanel }: Props) {
  useStyleText(FACES);
  const tokens = [...site.kinds.token.values()].sort(byOrder);
  const ofType = (type: TokenType) => tokens.filter(token => token.type === type);
  const sizes = groupBy(ofType('dimension'), token => token.group);
  const text = site.kinds.token.get(settingsOf(site).textBase)?.group;
  const others = [...sizes.keys()].filter(it => it !== text && !(it in SPACE) && !(it in SHAPE));
  const group = (name: string, noun: string, start: Value, drawing: Drawing) => (
    <Sizes
      key={name}
      site={site}
      group={name}
      tokens={sizes.get(name) ?? []}
      drawing={drawing}
      noun={noun}
      start={start}
      open={open}
      onOpen={onOpen}
    />
  );
  const reset = (guides: Foundation) => onPanel({ guides });
  return (
    <ResetFoundation value={reset}>
      <aside data-pane aria-label="Foundations" className="thin-scroll overflow-auto bg-paper pb-4">
        <p className="border-b border-hair px-3.5 py-2">
          <Button kind="link" className="h-5!" onClick={() => onPanel({ guides: '' })}>
            Guides and snapshots…
          </Button>
        </p>
        <Swatches site={site} open={open} onOpen={onOpen} />
        <Chapter title="Grounds" note={String(presetsOfUse(site, ['ground']).length)}>
          <UsedPresets site={site} use="ground" onOpen={preset => onPanel({ preset })} />
          <Gradients site={site} tokens={ofType('gradient')} open={open} onOpen={onOpen} />
          <Button kind="link" className="mb-1 h-5! text-small" onClick={() => onPanel({ ground: '' })}>
            The site’s ground…
          </Button>
        </Chapter>
        <Chapter title="Text" foundation="Text">
          <Voices site={site} tokens={ofType('fontFamily')} open={open} onOpen={onOpen} />
          <Scale site={site} open={open} onOpen={onOpen} />
          <TextStyles site={site} onOpen={style => onPanel({ style })} />
        </Chapter>
        <Chapter title="Space" foundation="Space and shape">
          {Object.entries(SPACE).map(([name, { noun, start }]) => group(name, noun, start, 'bars'))}
          {others.map(name => group(name, name, rem(1), 'bars'))}
          <SideMargin site={site} />
        </Chapter>
        <Chapter title="Shape" foundation="Space and shape">
          {Object.entries(SHAPE).map(([name, { noun, start, drawing }]) => group(name, noun, start, drawing))}
          <Shadows site={site} tokens={ofType('shadow')} open={open} onOpen={onOpen} />
        </Chapter>
        <Chapter title="Motion" foundation="Motion">
          <Motion site={site} tokens={tokens} open={open} onOpen={onOpen} />
          <Movements site={site} />
        </Chapter>
        <Drawings site={site} />
        <Chapter title="Schemes" foundation="Schemes" note={String(site.kinds.scheme.size)}>
          <Schemes site={site} onOpen={scheme => onPanel({ scheme })} />
        </Chapter>
        <Chapter title="Treatments" note={String(presetsOfUse(site, ['treatment']).length)}>
          <UsedPresets site={site} use="treatment" onOpen={preset => onPanel({ preset })} />
        </Chapter>
        <Chapter
          title="Presets"
          foundation="Presets"
          note={String([...site.kinds.preset.values()].filter(it => it.use === undefined).length)}
        >
          <Presets site={site} onOpen={preset => onPanel({ preset })} />
        </Chapter>
        <Notes site={site} />
      </aside>
    </ResetFoundation>
  );
}
