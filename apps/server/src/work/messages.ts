import type { Problem } from '@cove/core';

/** What a thread is told when it begins. */
export interface ThreadSettings {
  databaseUrl: string;
  dataFolder: string;
}

export interface Order {
  order: number;
  job: string;
  args: unknown;
}

export type Answer = { order: number } & (
  | { result: unknown }
  | { problem: Problem }
  | { failed: string; databaseAway: boolean }
);
