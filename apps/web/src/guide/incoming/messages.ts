import type { Incoming } from '@cove/core/incoming';

/** What reading some files came to. */
export type FromIncoming = { type: 'read'; incoming: Incoming } | { type: 'problem'; message: string };
