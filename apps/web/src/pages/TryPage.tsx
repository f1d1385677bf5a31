import { type Id, pageFolder, pagesInOrder, type Site } from '@cove/core';
import { startBehaviours } from '@cove/core/behaviours';
import { useEffect, useRef } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { PageCanvas } from '../canvas/pageCanvas.ts';
import { ScaledFrame } from '../canvas/ScaledFrame.tsx';
import { useSession } from '../session/context.tsx';

/** Stands for the address of the published site, which links are seen from. */
const BASE = 'https://site.invalid/';

/** Where a link of a page leads: to a page of the site, to a place in one, or away. */
export function leadsTo(
  site: Site,
  from: Id,
  href: string,
): { page: Id; place: string } | { away: string } | null {
  const page = site.kinds.page.get(from);
  const base = page && `${BASE}${pageFolder(site, page)}`;
  if (!base || !URL.canParse(href, base)) return null;
  const url = new URL(href, base);
  if (url.origin !== new URL(BASE).origin) return { away: url.href };
  const to = pagesInOrder(site).find(it => `/${pageFolder(site, it)}` === url.pathname);
  return to ? { page: to.id, place: url.hash.slice(1) } : null;
}

/** The page as visitors use it: hover, what opens, what stays in view, and links, which lead to the page here. */
export function TryPage({
  site,
  page,
  width,
  title,
}: {
  site: Site;
  page: Id;
  width: number;
  title: string;
}) {
  const session = useSession();
  const navigate = useNavigate();
  const canvas = useRef<PageCanvas | null>(null);
  const stop = useRef<(() => void) | null>(null);
  useEffect(
    () =>
      session.onTouched((now, touched) => {
        if (!canvas.current) return;
        canvas.current.show(now, touched);
        // What was drawn anew listens to nobody yet.
        stop.current?.();
        stop.current = startBehaviours(canvas.current.document);
      }),
    [session],
  );
  const follow = (document: Document, href: string) => {
    const to = leadsTo(session.site, page, href);
    if (!to) toast('This link leads nowhere yet.');
    else if ('away' in to) toast(`On the published site it leads to ${to.away}`);
    else if (to.page !== page) void navigate(`/sites/${session.id}/pages/${to.page}?try`);
    else if (to.place !== '') document.getElementById(to.place)?.scrollIntoView({ behavior: 'smooth' });
    else document.defaultView?.scrollTo({ top: 0 });
  };
  return (
    <ScaledFrame
      key={page}
      title={title}
      width={width}
      onReady={(document, view) => {
        const made = new PageCanvas(document, view, session.id, page, { links: true });
        canvas.current = made;
        made.show(site, null);
        stop.current = startBehaviours(document);
        document.addEventListener('click', event => {
          if (event.defaultPrevented) return;
          const link = event.target instanceof view.Element ? event.target.closest('a[href]') : null;
          if (!link) return;
          event.preventDefault();
          if (link.hasAttribute('download')) toast('On the published site the file would be downloaded.');
          else follow(document, link.getAttribute('href') ?? '');
        });
        document.addEventListener('submit', event => {
          event.preventDefault();
          toast('On the published site the form would be sent.');
        });
        return () => {
          stop.current?.();
          canvas.current = null;
        };
      }}
    />
  );
}
