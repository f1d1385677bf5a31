import { rows } from './property.ts';

const STYLES = ['none', 'solid', 'dashed', 'dotted', 'double'] as const;

export const LINE = rows('line', [
  { name: 'borderTopWidth', css: 'border-top-width', label: 'Line above, width', accepts: ['dimension'], min: 0, words: 'border stroke outline thickness' },
  { name: 'borderRightWidth', css: 'border-right-width', label: 'Line right, width', accepts: ['dimension'], min: 0, words: 'border stroke outline thickness' },
  { name: 'borderBottomWidth', css: 'border-bottom-width', label: 'Line below, width', accepts: ['dimension'], min: 0, words: 'border stroke outline thickness' },
  { name: 'borderLeftWidth', css: 'border-left-width', label: 'Line left, width', accepts: ['dimension'], min: 0, words: 'border stroke outline thickness' },
  { name: 'borderTopStyle', css: 'border-top-style', label: 'Line above, style', accepts: [], keywords: STYLES, words: 'border stroke dashed dotted' },
  { name: 'borderRightStyle', css: 'border-right-style', label: 'Line right, style', accepts: [], keywords: STYLES, words: 'border stroke dashed dotted' },
  { name: 'borderBottomStyle', css: 'border-bottom-style', label: 'Line below, style', accepts: [], keywords: STYLES, words: 'border stroke dashed dotted' },
  { name: 'borderLeftStyle', css: 'border-left-style', label: 'Line left, style', accepts: [], keywords: STYLES, words: 'border stroke dashed dotted' },
  { name: 'borderTopColor', css: 'border-top-color', label: 'Line above, colour', accepts: ['color'], keywords: ['currentcolor'], words: 'border stroke' },
  { name: 'borderRightColor', css: 'border-right-color', label: 'Line right, colour', accepts: ['color'], keywords: ['currentcolor'], words: 'border stroke' },
  { name: 'borderBottomColor', css: 'border-bottom-color', label: 'Line below, colour', accepts: ['color'], keywords: ['currentcolor'], words: 'border stroke' },
  { name: 'borderLeftColor', css: 'border-left-color', label: 'Line left, colour', accepts: ['color'], keywords: ['currentcolor'], words: 'border stroke' },
  { name: 'borderTopLeftRadius', css: 'border-top-left-radius', label: 'Corner top left', accepts: ['dimension'], min: 0, words: 'radius round rounded' },
  { name: 'borderTopRightRadius', css: 'border-top-right-radius', label: 'Corner top right', accepts: ['dimension'], min: 0, words: 'radius round rounded' },
  { name: 'borderBottomRightRadius', css: 'border-bottom-right-radius', label: 'Corner bottom right', accepts: ['dimension'], min: 0, words: 'radius round rounded' },
  { name: 'borderBottomLeftRadius', css: 'border-bottom-left-radius', label: 'Corner bottom left', accepts: ['dimension'], min: 0, words: 'radius round rounded' },
  { name: 'outlineColor', css: 'outline-color', label: 'Focus ring, colour', accepts: ['color'], keywords: ['auto'], words: 'outline keyboard' },
  { name: 'outlineStyle', css: 'outline-style', label: 'Focus ring, style', accepts: [], keywords: ['none', 'solid', 'dashed', 'dotted', 'auto'], words: 'outline keyboard' },
  { name: 'outlineWidth', css: 'outline-width', label: 'Focus ring, width', accepts: ['dimension'], min: 0, words: 'outline keyboard thickness' },
  { name: 'outlineOffset', css: 'outline-offset', label: 'Focus ring, distance', accepts: ['dimension'], words: 'outline keyboard gap' },
]);
