import { type ReactNode, useRef, useState, useSyncExternalStore } from 'react';
import { Group, Panel, Separator } from 'react-resizable-panels';
import { Choice } from './Choice.tsx';

/** Below this width of the window, in px, the panes take turns. */
const BESIDE = 860;
const narrow = matchMedia(`(max-width: ${BESIDE - 1}px)`);
const subscribe = (told: () => void) => {
  narrow.addEventListener('change', told);
  return () => narrow.removeEventListener('change', told);
};

type Side = 'left' | 'right';
const MOST = 560;

const keptWidth = (station: string, side: Side, first: number): number => {
  const kept = Number(localStorage.getItem(`cove.pane.${station}.${side}`));
  return kept > 0 ? Math.min(MOST, kept) : first;
};

/** The three panes of a station, whose borders can be dragged, or moved with the arrow keys; one at a time where there is no room. */
export function StationPanes({
  station,
  left,
  middle,
  right,
}: {
  /** Under which the widths are kept in this browser. */
  station: string;
  left: { label: string; width: number; least: number; content: ReactNode };
  middle: { label: string; content: ReactNode };
  right: { label: string; width: number; least: number; content: ReactNode };
}) {
  const isNarrow = useSyncExternalStore(subscribe, () => narrow.matches);
  const [shown, setShown] = useState<Side | 'middle'>('middle');
  const sides = { left: useRef<HTMLDivElement>(null), right: useRef<HTMLDivElement>(null) };
  const keep = () => {
    for (const side of ['left', 'right'] as const) {
      const width = sides[side].current?.offsetWidth;
      if (width) localStorage.setItem(`cove.pane.${station}.${side}`, String(width));
    }
  };
  const panel = (side: Side) => {
    const { width, least, content } = { left, right }[side];
    return (
      <Panel
        id={`${station}-${side}`}
        elementRef={sides[side]}
        defaultSize={keptWidth(station, side, width)}
        minSize={least}
        maxSize={MOST}
        groupResizeBehavior="preserve-pixel-size"
        className="grid min-w-0 grid-cols-[minmax(0,1fr)] grid-rows-[minmax(0,1fr)]"
      >
        {content}
      </Panel>
    );
  };
  return (
    <div className="flex h-full min-h-0 flex-col">
      {isNarrow && (
        <div className="border-b border-hair bg-paper px-3.5 py-1">
          <Choice<Side | 'middle'>
            label="Panes"
            value={shown}
            options={[
              { value: 'left', label: left.label },
              { value: 'middle', label: middle.label },
              { value: 'right', label: right.label },
            ]}
            onChange={setShown}
          />
        </div>
      )}
      {/* The panes stay what they are however wide the window is: nothing in them begins anew. */}
      <Group
        orientation="horizontal"
        className={`min-h-0 flex-1 ${isNarrow ? `one-pane one-pane-${shown}` : ''}`}
        onLayoutChanged={(_layout, { isUserInteraction }) => isUserInteraction && keep()}
      >
        {panel('left')}
        <Separator aria-label={`Width of ${left.label}`} className={SEPARATOR} />
        <Panel
          id={`${station}-middle`}
          minSize={280}
          className="grid min-w-0 grid-cols-[minmax(0,1fr)] grid-rows-[minmax(0,1fr)]"
        >
          {middle.content}
        </Panel>
        <Separator aria-label={`Width of ${right.label}`} className={SEPARATOR} />
        {panel('right')}
      </Group>
    </div>
  );
}

/** A hairline that thickens where it can be taken. */
const SEPARATOR =
  'w-px bg-hair outline-none hover:bg-teal focus-visible:bg-teal focus-visible:outline-2 focus-visible:outline-teal data-[separator=active]:bg-teal';
