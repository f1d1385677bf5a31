import {
  type Contribution,
  type Contributions,
  contributionsTo,
  getRecord,
  type Id,
  isNode,
  nameOf,
  noEffect,
  PART_KINDS,
  PROPERTIES,
  type PropertyName,
  parseSlot,
  partNames,
  partOf,
  pictureBehind,
  printSlot,
  propertyOf,
  type PropertyRow as Row,
  resetNode,
  type Site,
  STATES,
  type State,
  setTyped,
  stableText,
  statesOf,
  styledParts,
  threadOf,
  type Value,
  WIDTHS,
  type Width,
  winner,
} from '@cove/core';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { useCommit, useSite } from '../session/context.tsx';
import { Lock, useMay } from '../session/rights.tsx';
import { Button } from '../ui/Button.tsx';
import { Choice } from '../ui/Choice.tsx';
import { titled } from '../ui/titled.ts';
import { FieldOwner } from '../ui/useTyping.ts';
import { AlsoTo, useSaidOfOthers } from './alsoTo.ts';
import { CarryLook } from './CarryLook.tsx';
import { ChangeTo } from './ChangeTo.tsx';
import { ContentFields } from './content/ContentFields.tsx';
import { ElementHead } from './ElementHead.tsx';
import { FromGuide } from './FromGuide.tsx';
import { FACET_NAMES } from './facetNames.ts';
import { GroundRows, isGround } from './GroundRows.tsx';
import { KeepSection } from './KeepSection.tsx';
import { NodeChoices } from './NodeChoices.tsx';
import { Promote } from './Promote.tsx';
import { PropertyRow } from './PropertyRow.tsx';
import { Rebinds } from './Rebinds.tsx';
import { ResetMenu } from './ResetMenu.tsx';
import { type Resolved, resolveSubject, type Subject } from './subject.ts';
import { TextOverPicture } from './TextOverPicture.tsx';
import { TextStyleChoice } from './TextStyleChoice.tsx';
import { TypedCss } from './TypedCss.tsx';
import { Unfollowed, unfollowedOf } from './Unfollowed.tsx';
import { Versions } from './Versions.tsx';
import { WornPresets } from './WornPresets.tsx';

const NO_OTHERS: readonly Id[] = [];

const matches = (row: Row, words: readonly string[]): boolean => {
  const text = `${row.label} ${row.css} ${row.name} ${row.words} ${FACET_NAMES[row.facet]}`.toLowerCase();
  return words.every(word => text.includes(word));
};

interface Props {
  subject: Subject;
  onSubject(subject: Subject): void;
  /** Things picked besides: what is set goes to those that have such a part, too. */
  others?: readonly Id[];
  /** The way down to the subject, which can be climbed. */
  path: readonly { id: string; label: string; onSelect?: () => void }[];
  onBox?(box: Row['box'] | null): void;
  /** How often words were asked to be edited; the editor takes the focus each time. */
  askedForWords?: number;
}

/** The panel where the selected thing's styles are set: what is set here, what its presets say, what the guide says. */
export function Bench({ subject, onSubject, others = NO_OTHERS, path, onBox, askedForWords = 0 }: Props) {
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
  askedForWords = 0,
}: Props & { site: Site; resolved: Resolved }) {
  const [params] = useSearchParams();
  const wanted = params.get('find');
  const [search, setSearch] = useState(wanted ?? '');
  useEffect(() => {
    if (wanted !== null) setSearch(wanted);
  }, [wanted]);
  const words = useDeferredValue(search).toLowerCase().split(/\s+/).filter(Boolean);
  const commit = useCommit();
  const right = subject.type === 'node' ? 'style' : 'guide';
  const may = useMay(right);
  const mayGuide = useMay('guide');
  const mayChoose = useMay('choice');
  const { scope, element, target, record } = resolved;
  const { part, state, width } = subject;
  const node = getRecord(site, record);
  const parts = element
    ? styledParts(element)
        .filter(name => name === part || !isGround(element, name))
        .map(name => ({ value: name, label: partOf(element, name)?.label ?? name }))
    : PART_KINDS.map(kind => ({ value: kind as string, label: titled(kind) }));
  const states: readonly State[] = element
    ? ['rest', ...STATES.filter(it => statesOf(element, part).includes(it))]
    : STATES;
  const styles = node && 'styles' in node ? node.styles : {};
  const setIn = (test: (slot: NonNullable<ReturnType<typeof parseSlot>>) => boolean) =>
    Object.keys(styles).some(slot => {
      const it = parseSlot(slot);
      return it !== null && test(it);
    });

  const behind = useMemo(
    () => (scope && subject.type === 'node' ? pictureBehind(site, scope) : null),
    [site, scope, subject.type],
  );
  const contributions = useMemo(
    () => (scope ? contributionsTo(site, scope, part) : presetContributions(site, record, part)),
    [site, scope, part, record],
  );
  const ofOthers = useSaidOfOthers(site, subject.type === 'node' ? subject.page : null, part);
  const rows = useMemo(() => {
    const here: [Row, Value][] = [];
    const presets: [Row, Contribution][] = [];
    const guide: [Row, Value | null][] = [];
    for (const row of PROPERTIES) {
      const list = contributions.get(row.name);
      const best = winner(list, state, width);
      const own = list?.find(
        it => it.record === record && it.state === state && it.width === width && it.textStyle === null,
      );
      if (own) here.push([row, own.value]);
      else if (best?.origin === 'preset' && scope) presets.push([row, best]);
      else if (best) guide.push([row, best.value]);
      else if (row.inherited && scope) {
        const from = threadOf(site, scope, { part, state, width, property: row.name }).from;
        if (from) guide.push([row, from.value]);
      }
    }
    return { here, presets, guide };
  }, [contributions, record, state, width, scope, site, part]);

  const found = words.length > 0 ? PROPERTIES.filter(row => matches(row, words)) : null;
  const asked = { part, state, width };
  const styleSlot = printSlot({ ...asked, property: 'textStyle' });
  const inherited = (row: Row) =>
    row.inherited && scope
      ? (threadOf(site, scope, { ...asked, property: row.name }).from?.value ?? null)
      : null;
  const holds = (row: Row) => winner(contributions.get(row.name), state, width)?.value ?? inherited(row);
  const isKnot = (row: Row) => rows.here.some(([it]) => it === row);
  const property = (row: Row, value: Value | null, knot: boolean) => (
    <PropertyRow
      key={row.name}
      site={site}
      scope={scope}
      row={row}
      asked={asked}
      target={target}
      value={value}
      knot={knot}
      differs={differing(contributions, row, state, width)}
      varies={varying(ofOthers, row, state, width, value)}
      noEffect={
        knot || found ? noEffect(row, { site, scope, part, said: contributions, state, width }) : null
      }
      {...(onBox && { onBox })}
    />
  );
  const declared = node && 'declarations' in node ? Object.keys(node.declarations ?? {}) : [];
  const knots = Object.keys(styles).length + declared.length;
  const unfollowed = node ? unfollowedOf(node, asked) : [];

  return (
    <div className="flex h-full flex-col">
      <div className="grid gap-1.5 border-b border-hair px-3.5 py-3">
        <nav aria-label="Selected" className="flex flex-wrap items-center gap-x-1 text-[12px]">
          {path.map(({ id, label, onSelect }, i) => (
            <span key={id} className="flex items-center gap-1">
              {i > 0 && <span className="text-muted">›</span>}
              {onSelect ? (
                <button
                  type="button"
                  onClick={onSelect}
                  className="max-w-36 truncate text-muted hover:text-teal hover:underline"
                >
                  {label}
                </button>
              ) : (
                <strong className="max-w-48 truncate">{label}</strong>
              )}
            </span>
          ))}
        </nav>
        <Choice
          label="Part"
          value={part}
          options={parts.map(it => ({ ...it, mark: setIn(slot => slot.part === it.value) }))}
          onChange={next =>
            onSubject({
              ...subject,
              part: next,
              state: element && state !== 'rest' && !statesOf(element, next).includes(state) ? 'rest' : state,
            })
          }
        />
        <Choice<State>
          label="State"
          value={state}
          options={states.map(it => ({
            value: it,
            label: titled(it),
            mark: it !== 'rest' && setIn(slot => slot.part === part && slot.state === it),
          }))}
          onChange={next => onSubject({ ...subject, state: next })}
        />
        <Choice<Width>
          label="Width"
          value={width}
          options={WIDTHS.map(it => ({
            value: it,
            label: titled(it),
            mark: it !== 'wide' && setIn(slot => slot.part === part && slot.width === it),
          }))}
          onChange={next => onSubject({ ...subject, width: next })}
        />
      </div>

      <FieldOwner value={`${record} ${part} ${state} ${width}`}>
        <div className="thin-scroll flex-1 overflow-auto">
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
                <details open={!may || Object.keys(element.content).length <= 2}>
                  <summary className="label-line mb-1 cursor-pointer">Content</summary>
                  <Lock unless="content">
                    <ContentFields site={site} widget={node} askedForWords={askedForWords} />
                  </Lock>
                </details>
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
            <div className="px-3.5 py-3">
              <input
                type="search"
                aria-label="Find a property"
                placeholder="Find a property"
                value={search}
                onChange={event => setSearch(event.target.value)}
                className="h-7 w-full rounded border border-hair bg-paper px-2"
              />
            </div>
            {found ? (
              <section aria-label="Found" className="px-3.5 pb-4">
                {found.length === 0 ? (
                  <TypedCss
                    site={site}
                    source={search}
                    takesUnfollowed={subject.type !== 'preset'}
                    apply={typed =>
                      commit(setTyped(site, target, asked, typed), 'Set declarations') && setSearch('')
                    }
                  />
                ) : (
                  <ul>{found.map(row => property(row, holds(row), isKnot(row)))}</ul>
                )}
              </section>
            ) : (
              <>
                <section aria-label="Set here" className="border-b border-hair px-3.5 pb-3">
                  <h3 className="flex items-center pb-1">
                    <span className="label-line mr-auto">Set here</span>
                    {subject.type === 'element' && element && may && (
                      <ResetMenu
                        site={site}
                        record={record}
                        part={part}
                        element={element.name}
                        name={nameOf(site, record)}
                      />
                    )}
                    {subject.type === 'node' && knots > 0 && (
                      <span className="text-small text-madder">
                        {knots} knot{knots > 1 ? 's' : ''}
                      </span>
                    )}
                  </h3>
                  {isNode(node) && may && (
                    <p className="flex gap-3 pb-1">
                      <CarryLook site={site} node={node} />
                      {scope && mayGuide && Object.keys(styles).length > 0 && (
                        <Promote site={site} scope={scope} node={node} slots={Object.keys(styles)} />
                      )}
                      {knots > 0 && (
                        <Button
                          kind="link"
                          className="ml-auto"
                          onClick={() => commit(resetNode(site, node.id), 'Reset all that was set here')}
                        >
                          Reset all
                        </Button>
                      )}
                    </p>
                  )}
                  {holdsText(element ? partOf(element, part)?.kind : part) && (
                    <TextStyleChoice site={site} target={target} slot={styleSlot} styles={styles} />
                  )}
                  {rows.here.length === 0 && unfollowed.length === 0 && !styles[styleSlot] ? (
                    <p className="text-muted">
                      Nothing is set for this part, state and width.
                      {may && ' Find a property above, or change a value below.'}
                    </p>
                  ) : (
                    <ul>{rows.here.map(([row, value]) => property(row, value, true))}</ul>
                  )}
                  {node && <Unfollowed site={site} record={node} list={unfollowed} />}
                </section>
                {subject.type === 'node' && isNode(node) && (
                  <section aria-label="From presets" className="border-b border-hair px-3.5 py-3">
                    <h3 className="label-line pb-1">From presets</h3>
                    <WornPresets site={site} node={node} />
                    <ul>{rows.presets.map(([row, { value }]) => property(row, value, false))}</ul>
                  </section>
                )}
                {scope && (
                  <FromGuide rows={rows.guide}>{(row, value) => property(row, value, false)}</FromGuide>
                )}
              </>
            )}
          </Lock>
        </div>
      </FieldOwner>
    </div>
  );
}

/** Whether a kind of part has words, or holds what has. */
const holdsText = (kind: string | undefined): boolean =>
  kind === 'box' || kind === 'heading' || kind === 'text' || kind === 'label';

/** Other widths at which a property comes out otherwise. */
function differing(contributions: Contributions, row: Row, state: State, width: Width): Width[] {
  const list = contributions.get(row.name);
  if (!list || list.every(it => it.width === 'wide')) return [];
  const at = (some: Width) => winner(list, state, some);
  const here = at(width);
  return WIDTHS.filter(
    it => it !== width && stableText(at(it)?.value ?? null) !== stableText(here?.value ?? null),
  );
}

/** How many of other things come out otherwise; what they inherit is not asked about. */
const varying = (
  others: readonly Contributions[],
  row: Row,
  state: State,
  width: Width,
  value: Value | null,
): number => {
  if (others.length === 0) return 0;
  const here = stableText(value);
  return others.filter(said => {
    const theirs = winner(said.get(row.name), state, width)?.value ?? (row.inherited ? value : null);
    return stableText(theirs) !== here;
  }).length;
};

/** A preset has no place of its own: what it sets is all there is. */
function presetContributions(
  site: Site,
  id: string,
  part: string,
): ReadonlyMap<PropertyName, readonly Contribution[]> {
  const found = new Map<PropertyName, Contribution[]>();
  for (const [slot, value] of Object.entries(site.kinds.preset.get(id)?.styles ?? {})) {
    const it = parseSlot(slot);
    if (!it || it.property === 'textStyle' || it.part !== part) continue;
    const list = found.get(it.property) ?? [];
    list.push({
      origin: 'preset',
      record: id,
      slot,
      textStyle: null,
      value,
      on: true,
      state: it.state,
      width: it.width,
      rank: 0,
    });
    found.set(propertyOf(it.property).name, list);
  }
  return found;
}
