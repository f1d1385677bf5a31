import { isNode, nameOf, printSlot, resetNode } from '@cove/core';
import { useCommit } from '../session/context.tsx';
import { useMay } from '../session/rights.tsx';
import { Button } from '../ui/Button.tsx';
import { CarryLook } from './CarryLook.tsx';
import { Knots } from './Knots.tsx';
import { PresetOfRule } from './PresetOfRule.tsx';
import { Promote } from './Promote.tsx';
import { PropertyList, type Setting } from './PropertyList.tsx';
import { ResetMenu } from './ResetMenu.tsx';
import type { Resolved, Subject } from './subject.ts';
import { TextStyleChoice } from './TextStyleChoice.tsx';
import { OwnDeclarations } from './TypedCss.tsx';
import { Unfollowed } from './Unfollowed.tsx';
import type { useBench } from './useBench.ts';

/** What is set on the very subject, and what can be done with all of it: carried, promoted, made a preset, reset. */
export function SetHere({
  subject,
  resolved: { scope, element, target, record },
  bench: { node, styles, held, asked, knots, unfollowed, typed },
  setting,
  kind,
}: {
  subject: Subject;
  resolved: Resolved;
  bench: ReturnType<typeof useBench>;
  setting: Setting;
  /** What kind of part is on the bench. */
  kind: string | undefined;
}) {
  const commit = useCommit();
  const { site } = setting;
  const may = useMay(subject.type === 'node' ? 'style' : 'guide');
  const mayGuide = useMay('guide');
  const styleSlot = printSlot({ ...asked, property: 'textStyle' });
  return (
    <section aria-label="Set here" className="border-b border-hair px-3.5 py-2">
      <h3 className="flex items-center gap-3 pb-1">
        <span className="label-line mr-auto flex items-center gap-2">
          Set here
          {subject.type === 'node' && <Knots count={knots} />}
        </span>
        {subject.type === 'element' && may && node && knots > 0 && <PresetOfRule site={site} rule={record} />}
        {subject.type === 'element' && element && may && (
          <ResetMenu
            site={site}
            record={record}
            part={subject.part}
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
      {holdsText(kind) && <TextStyleChoice site={site} target={target} slot={styleSlot} styles={styles} />}
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
        apply={source => commit(typed(source), 'Set declarations')}
      />
    </section>
  );
}

/** Whether a kind of part has words, or holds what has. */
const holdsText = (kind: string | undefined): boolean =>
  kind === 'box' || kind === 'heading' || kind === 'text' || kind === 'label';
