import { rows } from './property.ts';

export const TYPE = rows('type', [
  { name: 'fontFamily', css: 'font-family', label: 'Voice', accepts: ['fontFamily'], inherited: true, words: 'font typeface family letters' },
  { name: 'fontSize', css: 'font-size', label: 'Size', accepts: ['dimension', 'fluid'], min: 0, inherited: true, words: 'text bigger smaller letters' },
  { name: 'fontWeight', css: 'font-weight', label: 'Weight', accepts: ['number'], min: 1, max: 1000, inherited: true, words: 'bold thin heavy light' },
  { name: 'fontStyle', css: 'font-style', label: 'Slant', accepts: [], keywords: ['normal', 'italic'], inherited: true, words: 'italic oblique' },
  { name: 'lineHeight', css: 'line-height', label: 'Line height', accepts: ['number', 'dimension'], min: 0, keywords: ['normal'], inherited: true, words: 'leading space between lines' },
  { name: 'letterSpacing', css: 'letter-spacing', label: 'Letter spacing', accepts: ['dimension'], keywords: ['normal'], inherited: true, words: 'tracking space between letters' },
  { name: 'textTransform', css: 'text-transform', label: 'Case', accepts: [], keywords: ['none', 'uppercase', 'lowercase', 'capitalize'], inherited: true, words: 'capitals upper lower' },
  { name: 'textDecorationLine', css: 'text-decoration-line', label: 'Underline', accepts: [], keywords: ['none', 'underline', 'line-through', 'overline'], words: 'decoration strike link' },
  { name: 'textDecorationThickness', css: 'text-decoration-thickness', label: 'Underline thickness', accepts: ['dimension'], keywords: ['auto', 'from-font'], min: 0, words: 'decoration link' },
  { name: 'textUnderlineOffset', css: 'text-underline-offset', label: 'Underline distance', accepts: ['dimension'], keywords: ['auto'], inherited: true, words: 'decoration link gap' },
  { name: 'textAlign', css: 'text-align', label: 'Text alignment', accepts: [], keywords: ['start', 'center', 'end', 'justify'], inherited: true, words: 'left right centre middle' },
  { name: 'textWrap', css: 'text-wrap-style', label: 'Line breaks', accepts: [], keywords: ['auto', 'balance', 'pretty', 'stable'], inherited: true, words: 'wrap ragged widow orphan' },
  { name: 'whiteSpace', css: 'white-space-collapse', label: 'White space', accepts: [], keywords: ['collapse', 'preserve', 'preserve-breaks'], inherited: true, words: 'line breaks preformatted' },
]);
