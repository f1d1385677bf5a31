import {
  type Id,
  isNode,
  namedPart,
  partNames,
  partOf,
  pictureBehind,
  type PropertyRow as Row,
  type Site,
  statesOf,
} from '@cove/core';
import { Search } from 'lucide-react';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { useCommit, useSite } from '../session/context.tsx';
import { Lock } from '../session/rights.tsx';
import { FieldOwner } from '../ui/useTyping.ts';
import { AlsoTo } from './alsoTo.ts';
import { BenchHead, type PathStep } from './BenchHead.tsx';
import { ElementHead } from './ElementHead.tsx';
import { emptyParts } from './emptyParts.ts';
import { FromGuide } from './FromGuide.tsx';
import { GroundRows, isGround } from './GroundRows.tsx';
import { foundProperties } from './held.ts';
import { ItemHead } from './ItemHead.tsx';
import { PropertyList } from './PropertyList.tsx';
import { SetHere } from './SetHere.tsx';
import { SharedNote } from './SharedNote.tsx';
import { type Resolved, resolveSubject, type Subject } from './subject.ts';
import { TextContrast } from './TextContrast.tsx';
import { TextOverPicture } from './TextOverPicture.tsx';
import { TypedCss } from './TypedCss.tsx';
import { useBench, useWhatChanges } from './useBench.ts';
import { WornPresets } from './WornPresets.tsx';

const NO_OTHERS: readonly Id[] = [];

interface Props {
  subject: Subject;
  onSubject(subject: Subject): void;
  /** Things picked besides: what is set goes to those that have such a part, too. */
  others?: readonly Id[];
  /** The way down to the subject, which can be climbed. */
  path: readonly PathStep[];
  onBox?(box: Row['box'] | null): void;
  /** Opens a preset beside what wears it. */
  onPreset?: ((preset: Id) => void) | undefined;
  /** How often words were asked to be edited; the editor takes the focus each time. */
  askedForWords?: number;
}

/** The panel where the selected thing's styles are set: what is set here, what its presets say, what the guide says. */
export function Bench({
  subject,
  onSubject,
  others = NO_OTHERS,
  path,
  onBox,
  onPreset,
  askedForWords = 0,
}: Props) {
  const site = useSite();
  const resolved = useMemo(() => resolveSubject(site, subject), [site, subject]);
  if (!resolved) return <p className="p-4 text-muted">What was selected is no longer there.</p>;
  return (
    <AlsoTo.Provider value={others}>
      <BenchPanel
        key={`${resolved.record}`}
        site={site}
        subject={subject}
        resolved={resolved}
        onSubject={onSubject}
        path={path}
        onPreset={onPreset}
        askedForWords={askedForWords}
        {...(onBox && { onBox })}
      />
    </AlsoTo.Provider>
  );
}

function BenchPanel({
  site,
  subject,
  resolved,
  onSubject,
  path,
  onBox,
  onPreset,
  askedForWords = 0,
}: Props & { site: Site; resolved: Resolved }) {
  const [params] = useSearchParams();
  const wanted = params.get('find');
  const [search, setSearch] = useState(wanted ?? '');
  useEffect(() => {
    if (wanted !== null) setSearch(wanted);
  }, [wanted]);
  const deferred = useDeferredValue(search);
  const words = useMemo(() => deferred.toLowerCase().split(/\s+/).filter(Boolean), [deferred]);
  const commit = useCommit();
  const right = subject.type === 'node' ? 'style' : 'guide';
  const { scope, element, target, record } = resolved;
  const { part, state, width } = subject;
  const bench = useBench(site, subject, resolved);
  const { node, held, asked } = bench;
  const kind = element ? partOf(element, part)?.kind : (namedPart(part)?.kind ?? part);
  const made = site.kinds.preset.get(record);
  const hasGround = element ? partNames(element).some(isGround) : made?.use === 'ground';
  const impact = useWhatChanges(site, subject, record);
  const behind = useMemo(
    () => (scope && subject.type === 'node' ? pictureBehind(site, scope) : null),
    [site, scope, subject.type],
  );
  const empty = useMemo(() => emptyParts(element, node), [element, node]);
  const found = words.length > 0 ? foundProperties(words) : null;
  const setting = { site, scope, asked, target, impact, onBox };

  return (
    <div className="flex h-full min-h-0 flex-col">
      <BenchHead
        path={path}
        parts={bench.parts}
        part={part}
        empty={empty}
        states={bench.states}
        state={state}
        widths={bench.widths}
        width={width}
        onPart={next =>
          onSubject({
            ...subject,
            part: next,
            state: element && state !== 'rest' && !statesOf(element, next).includes(state) ? 'rest' : state,
          })
        }
        onState={next => onSubject({ ...subject, state: next })}
        onWidth={next => onSubject({ ...subject, width: next })}
      />
      <Lock unless={right}>
        <div className="relative border-b border-hair px-3.5 py-2">
          <Search size={13} aria-hidden className="absolute top-4 left-5.5 text-muted" />
          <input
            type="search"
            aria-label="Find a property"
            placeholder="Find a property"
            value={search}
            onChange={event => setSearch(event.target.value)}
            className="h-7 w-full rounded border border-hair bg-paper pr-2 pl-7"
          />
        </div>
      </Lock>

      <FieldOwner value={`${record} ${part} ${state} ${width}`}>
        <div aria-busy={search !== deferred} className="thin-scroll min-h-0 flex-1 overflow-auto">
          {found ? (
            <Lock unless={right}>
              <section aria-label="Found" className="px-3.5 py-2">
                {found.length === 0 ? (
                  <TypedCss
                    site={site}
                    source={search}
                    takesUnfollowed={subject.type !== 'preset'}
                    apply={typed => commit(bench.typed(typed), 'Set declarations') && setSearch('')}
                  />
                ) : (
                  <PropertyList {...setting} list={found.map(held.held)} words={words} />
                )}
              </section>
            </Lock>
          ) : (
            <>
              {subject.type === 'node' && scope && <SharedNote site={site} scope={scope} />}
              {subject.type === 'node' && isNode(node) && (
                <ItemHead
                  site={site}
                  node={node}
                  page={subject.page}
                  askedForWords={askedForWords}
                  onPreset={onPreset}
                />
              )}
              {subject.type === 'node' && isNode(node) && behind && (
                <Lock unless="style">
                  <TextOverPicture
                    key={`${behind.node} ${behind.part} ${node.id}`}
                    site={site}
                    page={subject.page}
                    node={node.id}
                    behind={behind}
                  />
                </Lock>
              )}
              {hasGround && (
                <Lock unless={right}>
                  <GroundRows
                    key={element?.name ?? record}
                    site={site}
                    scope={scope}
                    situation={{ state, width }}
                    target={target}
                    record={record}
                    onPart={next => onSubject({ ...subject, part: next, state: 'rest' })}
                  />
                </Lock>
              )}
              {subject.type === 'element' && element && (
                <ElementHead
                  site={site}
                  subject={subject}
                  element={element}
                  record={record}
                  onSubject={onSubject}
                />
              )}
              <Lock unless={right}>
                <TextContrast {...setting} />
                <SetHere subject={subject} resolved={resolved} bench={bench} setting={setting} kind={kind} />
                {subject.type === 'node' && isNode(node) && (
                  <section aria-label="From presets" className="border-b border-hair px-3.5 py-3">
                    <h3 className="label-line pb-1">From presets</h3>
                    <WornPresets site={site} node={node} onPreset={onPreset} />
                    <PropertyList {...setting} list={held.presets} />
                  </section>
                )}
                {scope && <FromGuide {...setting} kind={kind ?? 'box'} list={held.guide} />}
              </Lock>
            </>
          )}
        </div>
      </FieldOwner>
    </div>
  );
}
