import { elementOfNode, type Id, type NodeRecord, type Site } from '@cove/core';
import { type ReactNode, useState } from 'react';
import { Lock, useMay } from '../session/rights.tsx';
import { useKeptChoice } from '../ui/KeptChoices.tsx';
import { ChangeTo } from './ChangeTo.tsx';
import { ContentFields } from './content/ContentFields.tsx';
import { KeepSection } from './KeepSection.tsx';
import { NodeChoices } from './NodeChoices.tsx';
import { Rebinds } from './Rebinds.tsx';
import { Versions } from './Versions.tsx';

/** Fields of content that leave room for the styles below them. */
const FEW_FIELDS = 2;

/** What a widget says; once somebody has opened it, it is open for the next one, too. */
function ContentFold({
  atFirst,
  askedFor,
  children,
}: {
  atFirst: boolean;
  /** How often what it says was asked for. */
  askedFor: number;
  children: ReactNode;
}) {
  const [kept, setOpen] = useKeptChoice('content', atFirst);
  const [answered, setAnswered] = useState(0);
  const open = kept || askedFor > answered;
  return (
    <details
      open={open}
      onToggle={({ currentTarget }) => {
        if (currentTarget.open === open) return;
        setAnswered(askedFor);
        setOpen(currentTarget.open);
      }}
    >
      <summary className="label-line mb-1 cursor-pointer">Content</summary>
      {open && <Lock unless="content">{children}</Lock>}
    </details>
  );
}

/** What an item is before it is styled: its look, what it says, and what a section has besides. */
export function ItemHead({
  site,
  node,
  page,
  askedForWords,
  onPreset,
}: {
  site: Site;
  node: NodeRecord;
  page: Id;
  /** How often words were asked to be edited; the editor takes the focus each time. */
  askedForWords: number;
  /** Opens a preset where one is. */
  onPreset: ((preset: Id) => void) | undefined;
}) {
  const mayStyle = useMay('style');
  const mayGuide = useMay('guide');
  const mayChoose = useMay('choice');
  const fields = Object.keys(elementOfNode(node).content).length;
  return (
    <section className="grid gap-3 border-b border-hair px-3.5 py-3">
      <Lock unless="choice">
        <NodeChoices site={site} node={node} page={page} onPreset={onPreset} />
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
      {node.kind === 'section' && mayChoose && <Versions site={site} section={node} page={page} />}
      {node.kind === 'section' && mayGuide && <KeepSection section={node} />}
      {node.kind === 'widget' && fields > 0 && (
        <ContentFold atFirst={!mayStyle || fields <= FEW_FIELDS} askedFor={askedForWords}>
          <ContentFields site={site} widget={node} askedForWords={askedForWords} />
        </ContentFold>
      )}
    </section>
  );
}
