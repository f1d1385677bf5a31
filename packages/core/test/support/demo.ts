import { tolvane } from '../../src/starters/index.ts';

export const demoSite = () => tolvane(() => 'abcdef0123456789.webp');
