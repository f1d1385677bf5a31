import { useQuery } from '@tanstack/react-query';
import { answer, server } from '../../api/client.ts';
import { queryKeys } from '../../api/queryKeys.ts';
import type { SiteSummary } from '../../api/types.ts';
import { useRoom } from '../../ui/useRoom.ts';

/** Width in px at which a page is laid out for its picture. */
const WIDTH = 1280;
/** Height of a picture to its width. */
const SHAPE = 0.46;

/** The top of a site’s home page as its draft has it, small, above the site’s main colours. */
export function SitePicture({ site }: { site: SiteSummary }) {
  const [box, room] = useRoom<HTMLDivElement>({ width: 400, height: 400 * SHAPE });
  const scale = room.width / WIDTH;
  return (
    <div aria-hidden className="grid gap-1">
      <div
        ref={box}
        className="relative overflow-clip border border-hair bg-paper"
        style={{ aspectRatio: `1 / ${SHAPE}` }}
      >
        {site.home !== null && (
          <iframe
            title={site.name}
            src={`/api/sites/${site.id}/pages/${site.home}/preview?seq=${site.seq}`}
            loading="lazy"
            sandbox="allow-same-origin"
            tabIndex={-1}
            className="pointer-events-none absolute top-0 left-0 origin-top-left border-0"
            style={{ width: WIDTH, height: WIDTH * SHAPE, transform: `scale(${scale})` }}
          />
        )}
      </div>
      <PaletteStrip site={site} />
    </div>
  );
}

function PaletteStrip({ site: { id, seq } }: { site: SiteSummary }) {
  const { data } = useQuery({
    queryKey: queryKeys.palette(id, seq),
    queryFn: () => answer(server.GET('/api/sites/{site}/palette', { params: { path: { site: id } } })),
    staleTime: Number.POSITIVE_INFINITY,
  });
  return (
    <div className="flex h-2.5 border border-hair">
      {data?.colors.map(color => (
        <span key={color} className="flex-1" style={{ background: color }} />
      ))}
    </div>
  );
}
