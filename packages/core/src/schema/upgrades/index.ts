import type { Upgrade } from '../upgrade.ts';
import { allowedDeclarations } from './2-allowedDeclarations.ts';
import { items } from './3-items.ts';
import { listedItems } from './4-listedItems.ts';
import { purposes } from './5-purposes.ts';
import { blend } from './6-blend.ts';

/** In the order in which they are made; each leads to the number after the last. */
export const UPGRADES: readonly Upgrade[] = [allowedDeclarations, items, listedItems, purposes, blend];
