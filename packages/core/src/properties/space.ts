import { rows } from './property.ts';

export const SPACE = rows('space', [
  { name: 'paddingTop', css: 'padding-top', label: 'Padding top', accepts: ['dimension', 'fluid'], min: 0, box: 'padding', words: 'space around inside inner above' },
  { name: 'paddingRight', css: 'padding-right', label: 'Padding right', accepts: ['dimension', 'fluid'], min: 0, box: 'padding', words: 'space around inside inner side' },
  { name: 'paddingBottom', css: 'padding-bottom', label: 'Padding bottom', accepts: ['dimension', 'fluid'], min: 0, box: 'padding', words: 'space around inside inner below' },
  { name: 'paddingLeft', css: 'padding-left', label: 'Padding left', accepts: ['dimension', 'fluid'], min: 0, box: 'padding', words: 'space around inside inner side' },
  { name: 'marginTop', css: 'margin-top', label: 'Margin top', accepts: ['dimension', 'fluid'], keywords: ['auto'], box: 'margin', words: 'space around outside outer above distance' },
  { name: 'marginRight', css: 'margin-right', label: 'Margin right', accepts: ['dimension', 'fluid'], keywords: ['auto'], box: 'margin', words: 'space around outside outer side' },
  { name: 'marginBottom', css: 'margin-bottom', label: 'Margin bottom', accepts: ['dimension', 'fluid'], keywords: ['auto'], box: 'margin', words: 'space around outside outer below distance' },
  { name: 'marginLeft', css: 'margin-left', label: 'Margin left', accepts: ['dimension', 'fluid'], keywords: ['auto'], box: 'margin', words: 'space around outside outer side' },
  { name: 'rowGap', css: 'row-gap', label: 'Gap between rows', accepts: ['dimension', 'fluid'], min: 0, keywords: ['normal'], box: 'gap', kinds: ['box'], words: 'space between distance' },
  { name: 'columnGap', css: 'column-gap', label: 'Gap between columns', accepts: ['dimension', 'fluid'], min: 0, keywords: ['normal'], box: 'gap', kinds: ['box', 'label'], words: 'space between distance gutter' },
]);
