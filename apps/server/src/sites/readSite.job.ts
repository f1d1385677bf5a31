import { asJson, type JsonBytes } from '../api/json';
import type { Workbench } from '../work/workbench';
import type { SiteDto } from './dto/site.dto';

declare module '../work/job' {
  interface Jobs {
    readSite: typeof readSite;
  }
}

/** A whole site as JSON, `{seq, records}`, in bytes to be sent as they are. */
export async function readSite(
  { sites }: Workbench,
  { site }: { site: string },
): Promise<JsonBytes<SiteDto>> {
  const { seq, records } = await sites.text(site);
  return asJson(`{"seq":${seq},"records":${records}}`);
}
