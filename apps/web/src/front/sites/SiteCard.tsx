import { Ellipsis } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useRef, useState } from 'react';
import { Link } from 'react-router';
import type { SiteSummary } from '../../api/types.ts';
import { MENU, MENU_ITEM } from '../../ui/menu.ts';
import { SitePicture } from './SitePicture.tsx';
import { type Asked, SiteSheet } from './SiteSheets.tsx';
import { useSiteCare } from './useSiteCare.ts';
import { WORDS } from './words.ts';

/** A site as a picture with its name, its last change and its release. */
export function SiteCard({ site }: { site: SiteSummary }) {
  const care = useSiteCare();
  const [asked, setAsked] = useState<Asked | null>(null);
  return (
    <li className="group relative min-w-0">
      <div className="outline-offset-4 outline-teal group-focus-within:outline-2 group-hover:outline-1">
        <SitePicture site={site} />
      </div>
      <div className="flex items-baseline gap-2 pt-2">
        <h2 className="min-w-0 truncate text-[14px] font-semibold">
          {/* The whole card leads there, and only its name is read out. */}
          <Link
            to={`/sites/${site.id}`}
            className="outline-none after:absolute after:inset-0 hover:text-teal"
          >
            {site.name}
          </Link>
        </h2>
        <span className="ml-auto shrink-0">{WORDS.release(site)}</span>
      </div>
      <div className="flex items-center gap-2 text-small text-muted">
        <span className="min-w-0 truncate">{WORDS.changed(site)}</span>
        {site.role !== 'designer' && <span className="ml-auto shrink-0">{WORDS.role(site)}</span>}
        <SiteMenu
          site={site}
          onAsk={setAsked}
          onArchive={archived => void care.setArchived(site, archived)}
        />
      </div>
      {asked && <SiteSheet site={site} asked={asked} care={care} onClose={() => setAsked(null)} />}
    </li>
  );
}

function SiteMenu({
  site,
  onAsk,
  onArchive,
}: {
  site: SiteSummary;
  onAsk(asked: Asked): void;
  onArchive(archived: boolean): void;
}) {
  // What is asked takes the focus itself; the menu must not take it back.
  const asking = useRef(false);
  const ask = (asked: Asked) => () => {
    asking.current = true;
    onAsk(asked);
  };
  const mayCare = site.role === 'designer';
  if (!mayCare && !site.live) return null;
  return (
    <DropdownMenu.Root
      onOpenChange={open => {
        if (open) asking.current = false;
      }}
    >
      <DropdownMenu.Trigger
        aria-label={WORDS.actions(site)}
        className="relative ml-auto grid size-6 shrink-0 place-content-center rounded hover:bg-paper hover:text-ink"
      >
        <Ellipsis size={15} aria-hidden />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={4}
          collisionPadding={8}
          className={MENU}
          onCloseAutoFocus={event => asking.current && event.preventDefault()}
        >
          {site.live && (
            <DropdownMenu.Item asChild className={MENU_ITEM}>
              <a href={site.address} target="_blank" rel="noreferrer" className="block">
                {WORDS.visit}
              </a>
            </DropdownMenu.Item>
          )}
          {mayCare && (
            <>
              <DropdownMenu.Item className={MENU_ITEM} onSelect={ask('rename')}>
                {WORDS.rename}
              </DropdownMenu.Item>
              <DropdownMenu.Item className={MENU_ITEM} onSelect={ask('duplicate')}>
                {WORDS.duplicate}
              </DropdownMenu.Item>
              <DropdownMenu.Item className={MENU_ITEM} onSelect={() => onArchive(!site.archived)}>
                {site.archived ? WORDS.restore : WORDS.archive}
              </DropdownMenu.Item>
              <DropdownMenu.Separator className="my-1 h-px bg-hair" />
              <DropdownMenu.Item className={`${MENU_ITEM} text-madder`} onSelect={ask('remove')}>
                {WORDS.remove}
              </DropdownMenu.Item>
            </>
          )}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
