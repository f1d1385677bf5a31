/** A word as it begins a line. */
export const titled = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);
