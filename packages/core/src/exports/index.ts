import { constants } from './constants.ts';
import { css } from './css.ts';
import { designTokens, resolver } from './designTokens.ts';
import type { ExportFile } from './exportFile.ts';
import { theme } from './theme.ts';

export { guideResolver, guideTokens } from './designTokens.ts';
export type { ExportFile } from './exportFile.ts';

/** The open formats in which a guide leaves the program. */
export const EXPORTS: readonly ExportFile[] = [designTokens, resolver, css, theme, constants];

/** Folder of these files below the root of a published site. */
export const EXPORTS_FOLDER = 'guide';
