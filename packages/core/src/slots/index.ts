export { parseSlot, printSlot, type SlotParts } from './slot.ts';
export * from './states.ts';
