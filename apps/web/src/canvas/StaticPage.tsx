import type { Id, Site } from '@cove/core';
import { useSession } from '../session/context.tsx';
import { PageCanvas } from './pageCanvas.ts';
import { ScaledFrame } from './ScaledFrame.tsx';

interface Props {
  title: string;
  site: Site;
  page: Id;
  /** Width of the viewport in px of the page. */
  width: number;
  /** A thing on it that is scrolled to. */
  node?: Id | undefined;
  /** CSS of ours beside the site's own. */
  extra?: string;
  /** Called with the document once it shows the page. */
  onShown?(document: Document): void;
}

/** A page of a site as it is, to be looked at: it follows nothing. */
export function StaticPage({ title, site, page, width, node, extra = '', onShown }: Props) {
  const session = useSession();
  return (
    <ScaledFrame
      title={title}
      width={width}
      onReady={(document, view) => {
        const canvas = new PageCanvas(document, view, session.id, page, { extra });
        canvas.show(site, null);
        if (node !== undefined) canvas.find(node)?.scrollIntoView({ block: 'center' });
        onShown?.(document);
        return undefined;
      }}
    />
  );
}
