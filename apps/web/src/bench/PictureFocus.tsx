import {
  type AssetRecord,
  contributionsTo,
  dimension,
  type Edit,
  type PropertyName,
  printSlot,
  type Scope,
  type Site,
  type StyleTarget,
  setSlots,
  type Value,
  winner,
} from '@cove/core';
import { assetUrlOf } from '../canvas/styleEngine.ts';
import { useCommit, useSession } from '../session/context.tsx';
import { type Focus, FocusPlane } from '../ui/FocusPlane.tsx';
import { havingPart, useAlsoTo } from './alsoTo.ts';
import type { Situation } from './subject.ts';

/** What words say of a place along one side. */
const SHARES: Readonly<Record<string, number>> = {
  left: 0,
  top: 0,
  center: 0.5,
  right: 1,
  bottom: 1,
};

/** Where along one side a value puts the focus; the middle where it is told in a length, which depends on the box. */
const shareOf = (value: Value | null): number => {
  if (value?.type === 'keyword') return SHARES[value.value] ?? 0.5;
  return value?.type === 'dimension' && value.value.unit === '%' ? value.value.value / 100 : 0.5;
};

const percent = (share: number) => dimension(Math.round(share * 100), '%');

/** How a focus is written: in two properties behind a part, in one of a picture that stands in the page. */
const WAYS: Record<
  'ground' | 'picture',
  { read(value: (name: PropertyName) => Value | null): Focus; write(focus: Focus): [PropertyName, Value][] }
> = {
  ground: {
    read: value => ({
      x: shareOf(value('backgroundPositionX')),
      y: shareOf(value('backgroundPositionY')),
    }),
    write: ({ x, y }) => [
      ['backgroundPositionX', percent(x)],
      ['backgroundPositionY', percent(y)],
    ],
  },
  picture: {
    read: value => {
      const position = value('objectPosition');
      if (position?.type !== 'position') return { x: 0.5, y: 0.5 };
      const { x, y } = position;
      return {
        x: shareOf({ type: 'dimension', value: x }),
        y: shareOf({ type: 'dimension', value: y }),
      };
    },
    write: ({ x, y }) => [
      [
        'objectPosition',
        {
          type: 'position',
          x: { value: Math.round(x * 100), unit: '%' },
          y: { value: Math.round(y * 100), unit: '%' },
        },
      ],
    ],
  },
};

/** Where the focus of a cropped picture lies, set on the picture itself. */
export function PictureFocus({
  site,
  scope,
  asset,
  way,
  asked,
  target,
}: {
  site: Site;
  scope: Scope;
  asset: AssetRecord;
  way: keyof typeof WAYS;
  asked: Situation;
  target: StyleTarget;
}) {
  const session = useSession();
  const commit = useCommit();
  const also = useAlsoTo();
  const { part, state, width } = asked;
  const said = contributionsTo(site, scope, part);
  const { read, write } = WAYS[way];
  const edits = (focus: Focus): Edit[] => {
    const values = Object.fromEntries(
      write(focus).map(([property, value]) => [printSlot({ ...asked, property }), value]),
    );
    const others = havingPart(session.site, also, part).map(id => ({ type: 'record', id }) as const);
    return [target, ...others].flatMap(it => setSlots(session.site, it, values));
  };
  return (
    <section>
      <p className="label-line mb-1">What stays in view</p>
      <FocusPlane
        label="Focus of the picture"
        url={assetUrlOf(session.id)(asset)}
        ratio={asset.width / asset.height}
        focus={read(name => winner(said.get(name), state, width)?.value ?? null)}
        onShow={focus => session.show(edits(focus))}
        onCommit={focus => commit(edits(focus), 'Set the focus of the picture')}
        onCancel={() => session.show(null)}
      />
      <p className="mt-1 text-small text-muted">
        Drag the point, or move it with the arrow keys. The picture is cropped around it.
      </p>
    </section>
  );
}
