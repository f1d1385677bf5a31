import {
  firstPart,
  type Id,
  isPresetKind,
  maybeElement,
  namedPart,
  partOf,
  placeKey,
  placeNamed,
  type Site,
  STATES,
  type State,
  statesOf,
  WIDTHS,
  type Width,
} from '@cove/core';
import { firstPartOf } from '../bench/firstPartOf.ts';
import type { ElementSubject, Situation, Subject } from '../bench/subject.ts';

/** What of the guide can be open on the bench. */
export type GuideSubject = Exclude<Subject, { type: 'node' }>;

/** Rather than the id of a variant: values are set for every such element. */
const EVERY = 'every';

const situationAddress = ({ part, state, width }: Situation): Record<string, string> => ({
  part,
  ...(state !== 'rest' && { state }),
  ...(width !== 'wide' && { width }),
});

/** Query of the address at which something is open on the guide’s bench. */
export function subjectAddress(subject: GuideSubject): Record<string, string> {
  if (subject.type === 'preset') return { preset: subject.preset, ...situationAddress(subject) };
  const { element, variants, scheme, target, place } = subject;
  return {
    element,
    ...(variants.length > 0 && { variants: variants.join(',') }),
    on: scheme,
    ...(target !== (variants.at(-1) ?? null) && { to: target ?? EVERY }),
    ...(place && { at: placeKey(place) }),
    ...situationAddress(subject),
  };
}

function situationIn(
  params: URLSearchParams,
  first: string,
  hasPart: (name: string) => boolean,
  states: (part: string) => readonly State[],
): Situation {
  const named = params.get('part') ?? '';
  const part = hasPart(named) ? named : first;
  const state = states(part).find(it => it === params.get('state')) ?? 'rest';
  const width: Width = WIDTHS.find(it => it === params.get('width')) ?? 'wide';
  return { part, state, width };
}

function elementIn(params: URLSearchParams, site: Site, scheme: Id): ElementSubject | null {
  const element = maybeElement(params.get('element') ?? '');
  if (!element) return null;
  const named = new Set(params.get('variants')?.split(','));
  const variants = [...named].filter(id => site.kinds.variant.get(id)?.element === element.name);
  const on = params.get('on') ?? '';
  const to = params.get('to');
  return {
    type: 'element',
    element: element.name,
    variants,
    scheme: site.kinds.scheme.has(on) ? on : scheme,
    target: to === EVERY ? null : (variants.find(it => it === to) ?? variants.at(-1) ?? null),
    place: placeNamed(site, params.get('at') ?? ''),
    ...situationIn(
      params,
      firstPart(element),
      name => partOf(element, name) !== undefined,
      part => statesOf(element, part),
    ),
  };
}

/** What an address has open on the bench: what it names and is there; null where that is nothing. `scheme` is worn where none is named. */
export function subjectIn(params: URLSearchParams, site: Site, scheme: Id): GuideSubject | null {
  const preset = params.get('preset');
  if (preset === null) return elementIn(params, site, scheme);
  return {
    type: 'preset',
    preset,
    ...situationIn(
      params,
      firstPartOf(site, preset),
      part => isPresetKind(part) || namedPart(part) !== undefined,
      () => STATES,
    ),
  };
}
