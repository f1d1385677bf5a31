import { compareIncoming, type TakenIncoming, takeIncoming } from '../../src/commands/index.ts';
import { type Incoming, incomingTokens, type Noticed, readTokens } from '../../src/incoming/index.ts';
import { must } from '../../src/result/index.ts';
import type { Site, TokenRecord } from '../../src/site/index.ts';

/** What is read of one token file. */
export const readJson = (file: unknown): Incoming =>
  must(readTokens([{ name: 'tokens.json', text: JSON.stringify(file, null, 2) }]));

export const tokensIn = (incoming: Incoming): TokenRecord[] => [...incomingTokens(incoming).values()];

/** What was noticed, in words. */
export const noticedIn = ({ findings }: Incoming, kind: Noticed['kind']): string[] =>
  findings
    .filter(it => it.kind === kind)
    .map(({ message, place }) => `${message} (${place?.file}, line ${place?.line})`);

/** All of one file, taken over into a guide. */
export const takenFrom = (site: Site, text: string): TakenIncoming =>
  takeIncoming(site, compareIncoming(site, must(readTokens([{ name: 'tokens.json', text }]))));

/** A list of colours, taken over into a group of the guide. */
export const pastedInto = (site: Site, text: string, group: string): TakenIncoming =>
  takeIncoming(site, compareIncoming(site, must(readTokens([{ name: '', text }])), group));
