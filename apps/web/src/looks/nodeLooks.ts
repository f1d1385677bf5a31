import {
  applyChange,
  type Edit,
  editOf,
  elementOfNode,
  fittingPresets,
  getRecord,
  type Id,
  isNode,
  type NodeRecord,
  nodeScope,
  pageScope,
  renderNode,
  type Scope,
  type Site,
  takeOff,
  variantsOf,
  wearPreset,
} from '@cove/core';
import { takeLook } from '@cove/core/starters';
import { titled } from '../ui/titled.ts';
import { inColumn } from './inColumn.ts';
import { type LookGroup, type LookOption, type Looks, staticMarkup } from './option.ts';
import { withReadyLooks } from './readyLooks.ts';

export interface NodeLook extends LookOption {
  edits(now: Site): Edit[];
}

/** Every look a thing can take: the variants of each axis, ready looks that the guide could take, presets that fit. */
export function nodeLooks(
  site: Site,
  page: Id,
  node: NodeRecord,
  mayGuide: boolean,
  siteId: string,
): Looks<NodeLook> | null {
  const element = elementOfNode(node);
  const { site: shown, looks } = mayGuide ? withReadyLooks(site, element) : { site, looks: [] };
  const pageRecord = shown.kinds.page.get(page);
  if (!pageRecord) return null;
  const outer: Scope | null =
    node.kind === 'section' ? pageScope(shown, pageRecord) : nodeScope(shown, page, node.at.parent);
  if (!outer) return null;
  const longForm = outer.longForm || outer.element.longForm === true;
  const ofLongForm = (axis: string) => element.longFormAxes?.includes(axis) === true;
  /** By itself: how it stands in a long text shows only there. */
  const drawn = (it: NodeRecord) => {
    const variants = Object.fromEntries(Object.entries(it.variants).filter(([axis]) => !ofLongForm(axis)));
    return renderNode(shown, outer, { ...it, variants }, staticMarkup(siteId));
  };
  const drawnOn = (axis: string, it: NodeRecord) =>
    ofLongForm(axis)
      ? inColumn(shown, outer, renderNode(shown, outer, it, staticMarkup(siteId)), siteId)
      : drawn(it);

  const shownAxes = element.axes.filter(axis => longForm || !ofLongForm(axis));
  const axes = shownAxes.map((axis): LookGroup<NodeLook> => {
    const choose = (id: Id | null): Edit =>
      id === null ? editOf(node).unsetIn('variants', axis) : editOf(node).setIn('variants', axis, id);
    const { [axis]: now, ...others } = node.variants;
    const variants = variantsOf(shown, element.name, axis).map((variant): NodeLook => {
      const look = looks.find(it => it.id === variant.id && !it.known)?.look;
      return {
        id: variant.id,
        label: variant.name,
        note: look ? 'ready-made' : '',
        chosen: now === variant.id,
        markup: drawnOn(axis, { ...node, variants: { ...others, [axis]: variant.id } }),
        edits: at => {
          if (!look) return [choose(variant.id)];
          const { id, edits } = takeLook(at, look);
          return [...edits, choose(id)];
        },
      };
    });
    const plain: NodeLook = {
      id: `${axis} none`,
      label: 'Default',
      note: '',
      chosen: now === undefined,
      markup: drawnOn(axis, { ...node, variants: others }),
      edits: () => [choose(null)],
    };
    return { label: titled(axis), options: variants.length === 0 ? [] : [plain, ...variants] };
  });

  const presets = fittingPresets(site, node).flatMap((preset): NodeLook[] => {
    const worn = Object.entries(node.wears).find(([, it]) => it.preset === preset.id);
    const edits = (at: Site): Edit[] => {
      if (worn) return takeOff(node.id, worn[0]);
      const put = wearPreset(at, node.id, preset.id);
      return put.ok ? put.value : [];
    };
    const after = applyChange(site, { edits: edits(site) });
    const dressed = worn ? node : after.ok ? getRecord(after.value.site, node.id) : node;
    if (!isNode(dressed)) return [];
    const { id, name, set = '' } = preset;
    return [{ id, label: name, note: set, chosen: worn !== undefined, markup: drawn(dressed), edits }];
  });
  const groups = [...axes, { label: 'Presets', options: presets }].filter(it => it.options.length > 0);
  return { site: shown, page, scheme: outer.scheme, bearers: bearersOf(outer), groups };
}

/** Those around a thing that rebind tokens. */
function bearersOf(scope: Scope): Id[] {
  return [scope.page, scope.section].flatMap(it => (it && Object.keys(it.rebind).length > 0 ? [it.id] : []));
}
