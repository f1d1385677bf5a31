import { rows } from './property.ts';

const ALIGN = ['normal', 'start', 'center', 'end', 'stretch', 'baseline'] as const;

export const LAYOUT = rows('layout', [
  { name: 'display', css: 'display', label: 'Arrangement', accepts: [], keywords: ['block', 'flex', 'grid', 'inline', 'inline-block', 'inline-flex', 'list-item', 'none'], words: 'hide show hidden flex grid row column' },
  { name: 'flexDirection', css: 'flex-direction', label: 'Direction', accepts: [], keywords: ['row', 'row-reverse', 'column', 'column-reverse'], kinds: ['box', 'label'], words: 'row column order stack beside' },
  { name: 'flexWrap', css: 'flex-wrap', label: 'Wrap', accepts: [], keywords: ['nowrap', 'wrap'], kinds: ['box', 'label'], words: 'lines break' },
  { name: 'gridColumns', css: 'grid-template-columns', label: 'Columns in the grid', accepts: ['number'], min: 1, max: 12, keywords: ['none'], kinds: ['box'], words: 'grid across beside' },
  { name: 'alignItems', css: 'align-items', label: 'Align across', accepts: [], keywords: ALIGN, kinds: ['box', 'label'], words: 'top middle bottom vertical centre' },
  { name: 'justifyContent', css: 'justify-content', label: 'Spread along', accepts: [], keywords: ['normal', 'start', 'center', 'end', 'space-between', 'space-around'], kinds: ['box', 'label'], words: 'left right centre distribute horizontal' },
  { name: 'justifyItems', css: 'justify-items', label: 'Align in cells', accepts: [], keywords: ['normal', 'start', 'center', 'end', 'stretch', 'legacy'], kinds: ['box'], words: 'left right centre grid' },
  { name: 'width', css: 'width', label: 'Width', accepts: ['dimension', 'fluid'], min: 0, keywords: ['auto', 'fit-content', 'max-content', 'min-content'], box: 'size', words: 'size wide' },
  { name: 'maxWidth', css: 'max-width', label: 'Greatest width', accepts: ['dimension', 'fluid'], min: 0, keywords: ['none'], box: 'size', words: 'size limit measure line length' },
  { name: 'minHeight', css: 'min-height', label: 'Least height', accepts: ['dimension', 'fluid'], min: 0, keywords: ['auto'], box: 'size', words: 'size tall' },
  { name: 'height', css: 'height', label: 'Height', accepts: ['dimension', 'fluid'], min: 0, keywords: ['auto'], box: 'size', words: 'size tall' },
  { name: 'aspectRatio', css: 'aspect-ratio', label: 'Ratio of width to height', accepts: ['number'], min: 0.1, max: 10, keywords: ['auto'], kinds: ['picture', 'box'], words: 'crop proportion square' },
  { name: 'objectFit', css: 'object-fit', label: 'Fit', accepts: [], keywords: ['fill', 'cover', 'contain', 'none'], kinds: ['picture'], words: 'crop picture image' },
  { name: 'boxSizing', css: 'box-sizing', label: 'Size counts', accepts: [], keywords: ['border-box', 'content-box'], words: 'border padding width' },
  { name: 'listStyleType', css: 'list-style-type', label: 'List marks', accepts: [], keywords: ['none', 'disc', 'circle', 'square', 'decimal'], inherited: true, words: 'bullet number' },
  { name: 'cursor', css: 'cursor', label: 'Pointer', accepts: [], keywords: ['auto', 'default', 'pointer', 'not-allowed', 'text'], inherited: true, words: 'mouse hand' },
]);
