import type { Workbench } from '../work/workbench';

declare module '../work/job' {
  interface Jobs {
    readSite: typeof readSite;
  }
}

/** A whole site as JSON, `{seq, records}`, in bytes to be sent as they are. */
export async function readSite({ sites }: Workbench, { site }: { site: string }): Promise<Uint8Array> {
  const { seq, records } = await sites.text(site);
  return new TextEncoder().encode(`{"seq":${seq},"records":${records}}`);
}
