import {
  type Id,
  isNode,
  nameOf,
  partNames,
  partOf,
  pictureBehind,
  printSlot,
  type PropertyRow as Row,
  resetNode,
  type Site,
  statesOf,
} from '@cove/core';
import { Search } from 'lucide-react';
import { type ReactNode, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { useCommit, useSite } from '../session/context.tsx';
import { Lock, useMay } from '../session/rights.tsx';
import { Button } from '../ui/Button.tsx';
import { useKeptChoice } from '../ui/KeptChoices.tsx';
import { FieldOwner } from '../ui/useTyping.ts';
import { AlsoTo } from './alsoTo.ts';
import { BenchHead, type PathStep } from './BenchHead.tsx';
import { CarryLook } from './CarryLook.tsx';
import { ChangeTo } from './ChangeTo.tsx';
import { ContentFields } from './content/ContentFields.tsx';
import { ElementHead } from './ElementHead.tsx';
import { emptyParts } from './emptyParts.ts';
import { FromGuide } from './FromGuide.tsx';
import { GroundRows, isGround } from './GroundRows.tsx';
import { foundProperties } from './held.ts';
import { KeepSection } from './KeepSection.tsx';
import { Knots } from './Knots.tsx';
import { NodeChoices } from './NodeChoices.tsx';
import { PresetOfRule } from './PresetOfRule.tsx';
import { Promote } from './Promote.tsx';
import { PropertyList } from './PropertyList.tsx';
import { Rebinds } from './Rebinds.tsx';
import { ResetMenu } from './ResetMenu.tsx';
import { SharedNote } from './SharedNote.tsx';
import { type Resolved, resolveSubject, type Subject } from './subject.ts';
import { TextContrast } from './TextContrast.tsx';
import { TextOverPicture } from './TextOverPicture.tsx';
import { TextStyleChoice } from './TextStyleChoice.tsx';
import { OwnDeclarations, TypedCss } from './TypedCss.tsx';
import { Unfollowed } from './Unfollowed.tsx';
import { useBench, useWhatChanges } from './useBench.ts';
import { Versions } from './Versions.tsx';
import { WornPresets } from './WornPresets.tsx';

const NO_OTHERS: readonly Id[] = [];

/** Fields of content that leave room for the styles below them. */
const FEW_FIELDS = 2;

/** What a widget says; once somebody has opened it, it is open for the next one, too. */
function ContentFold({ atFirst, children }: { atFirst: boolean; children: ReactNode }) {
  const [open, setOpen] = useKeptChoice('content', atFirst);
  return (
    <details
      open={open}
      onToggle={({ currentTarget }) => currentTarget.open !== open && setOpen(currentTarget.open)}
    >
      <summary className="label-line mb-1 cursor-pointer">Content</summary>
      <Lock unless="content">{children}</Lock>
    </details>
  );
}

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
  const may = useMay(right);
  const mayGuide = useMay('guide');
  const mayChoose = useMay('choice');
  const { scope, element, target, record } = resolved;
  const { part, state, width } = subject;
  const bench = useBench(site, subject, resolved);
  const { node, styles, held, asked, knots, unfollowed } = bench;
  const kind = element ? partOf(element, part)?.kind : part;
  const impact = useWhatChanges(site, subject, record);
  const behind = useMemo(
    () => (scope && subject.type === 'node' ? pictureBehind(site, scope) : null),
    [site, scope, subject.type],
  );
  const empty = useMemo(() => emptyParts(element, node), [element, node]);
  const found = words.length > 0 ? foundProperties(words) : null;
  const styleSlot = printSlot({ ...asked, property: 'textStyle' });
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
        <div className="thin-scroll min-h-0 flex-1 overflow-auto">
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
                <section className="grid gap-3 border-b border-hair px-3.5 py-3">
                  <Lock unless="choice">
                    <NodeChoices site={site} node={node} page={subject.page} />
                    {node.kind === 'widget' && <ChangeTo site={site} widget={node} />}
                  </Lock>
                  {node.kind === 'section' && (
                    <details open={Object.keys(node.rebind).length > 0}>
                      <summary className="label-line cursor-pointer">Tokens rebound here</summary>
                      <Lock unless="style">
                        <Rebinds site={site} record={node} />
                      </Lock>
                    </details>
                  )}
                  {node.kind === 'section' && mayChoose && (
                    <Versions site={site} section={node} page={subject.page} />
                  )}
                  {node.kind === 'section' && mayGuide && <KeepSection section={node} />}
                  {node.kind === 'widget' && element && Object.keys(element.content).length > 0 && (
                    <ContentFold atFirst={!may || Object.keys(element.content).length <= FEW_FIELDS}>
                      <ContentFields site={site} widget={node} askedForWords={askedForWords} />
                    </ContentFold>
                  )}
                </section>
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
              {scope && element && partNames(element).some(name => isGround(element, name)) && (
                <Lock unless={right}>
                  <GroundRows
                    key={scope.element.name}
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
                <section aria-label="Set here" className="border-b border-hair px-3.5 py-2">
                  <h3 className="flex items-center gap-3 pb-1">
                    <span className="label-line mr-auto flex items-center gap-2">
                      Set here
                      {subject.type === 'node' && <Knots count={knots} />}
                    </span>
                    {subject.type === 'element' && may && node && knots > 0 && (
                      <PresetOfRule site={site} rule={record} />
                    )}
                    {subject.type === 'element' && element && may && (
                      <ResetMenu
                        site={site}
                        record={record}
                        part={part}
                        element={element.name}
                        name={nameOf(site, record)}
                      />
                    )}
                    {isNode(node) && may && (
                      <>
                        <CarryLook site={site} node={node} />
                        {scope && mayGuide && Object.keys(styles).length > 0 && (
                          <Promote site={site} scope={scope} node={node} slots={Object.keys(styles)} />
                        )}
                        {knots > 0 && (
                          <Button
                            kind="link"
                            onClick={() => commit(resetNode(site, node.id), 'Reset all that was set here')}
                          >
                            Reset all
                          </Button>
                        )}
                      </>
                    )}
                  </h3>
                  {holdsText(kind) && (
                    <TextStyleChoice site={site} target={target} slot={styleSlot} styles={styles} />
                  )}
                  {held.here.length === 0 && unfollowed.length === 0 && !styles[styleSlot] ? (
                    <p className="text-muted">
                      Nothing is set for this part, state and width.
                      {may && ' Find a property above, or change a value below.'}
                    </p>
                  ) : (
                    <PropertyList {...setting} list={held.here} />
                  )}
                  {node && <Unfollowed site={site} record={node} list={unfollowed} />}
                  <OwnDeclarations
                    site={site}
                    takesUnfollowed={subject.type !== 'preset'}
                    apply={typed => commit(bench.typed(typed), 'Set declarations')}
                  />
                </section>
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

/** Whether a kind of part has words, or holds what has. */
const holdsText = (kind: string | undefined): boolean =>
  kind === 'box' || kind === 'heading' || kind === 'text' || kind === 'label';
