import type { SiteBuilder } from '../build.ts';

export function textStyles(b: SiteBuilder): void {
  const display = { '/fontFamily': '{voice.voices.heading}' };
  b.textStyle('style-h1', 'Heading 1', {
    ...display,
    '/fontSize': '{size.text.step-5}',
    '/fontWeight': 800,
    '/lineHeight': 1.05,
    '/letterSpacing': '-0.02em',
    '@narrow/fontSize': '{size.text.step-4}',
  });
  b.textStyle('style-h2', 'Heading 2', {
    ...display,
    '/fontSize': '{size.text.step-3}',
    '/fontWeight': 700,
    '/lineHeight': 1.12,
    '/letterSpacing': '-0.01em',
  });
  b.textStyle('style-h3', 'Heading 3', {
    ...display,
    '/fontSize': '{size.text.large}',
    '/fontWeight': 700,
    '/lineHeight': 1.2,
  });
  for (const [level, size] of [
    [4, 'base'],
    [5, 'base'],
    [6, 'small'],
  ] as const)
    b.textStyle(`style-h${level}`, `Heading ${level}`, {
      ...display,
      '/fontSize': `{size.text.${size}}`,
      '/fontWeight': level === 5 ? 600 : 700,
      '/lineHeight': 1.25,
      ...(level === 6 && { '/letterSpacing': '0.04em', '/textTransform': 'uppercase' }),
    });
  b.textStyle('style-text', 'Text', {
    '/fontFamily': '{voice.voices.text}',
    '/fontSize': '{size.text.base}',
    '/lineHeight': 1.6,
  });
  b.textStyle('style-lead', 'Lead', {
    '/fontFamily': '{voice.voices.text}',
    '/fontSize': '{size.text.large}',
    '/lineHeight': 1.5,
  });
  b.textStyle('style-small', 'Small', {
    '/fontFamily': '{voice.voices.text}',
    '/fontSize': '{size.text.small}',
    '/lineHeight': 1.5,
  });
  b.textStyle('style-label', 'Label', {
    ...display,
    '/fontSize': '{size.text.base}',
    '/fontWeight': 600,
    '/lineHeight': 1.25,
  });

  const body = { '/fontFamily': '{voice.voices.text}' };
  b.textStyle('style-caption', 'Caption', {
    ...body,
    '/fontSize': '{size.text.small}',
    '/fontStyle': 'italic',
    '/lineHeight': 1.4,
  });
  b.textStyle('style-quote', 'Quote', {
    ...body,
    '/fontSize': '{size.text.large}',
    '/fontStyle': 'italic',
    '/lineHeight': 1.45,
  });
  b.textStyle('style-pull', 'Pull quote', {
    ...display,
    '/fontSize': '{size.text.step-2}',
    '/fontWeight': 600,
    '/lineHeight': 1.2,
    '/textWrap': 'balance',
  });
  b.textStyle('style-code', 'Code', { '/fontFamily': '{voice.voices.code}', '/fontSize': '0.92em' });
  b.textStyle('style-plan', 'Preformatted', {
    '/fontFamily': '{voice.voices.code}',
    '/fontSize': '{size.text.small}',
    '/lineHeight': 1.5,
  });
  b.textStyle('style-link', 'Link', {
    '/textDecorationLine': 'underline',
    '/textDecorationThickness': '1px',
  });
  b.textStyle('style-marked', 'Marked words', { '/fontWeight': 600 });
  b.textStyle('style-drop', 'Drop cap', { ...display, '/fontWeight': 700, '/initialLetter': 3 });
  b.textStyle('style-title', 'Site title', {
    ...display,
    '/fontSize': '{size.text.large}',
    '/fontWeight': 700,
    '/lineHeight': 1.2,
  });
  b.textStyle('style-tagline', 'Tagline', { ...body, '/fontSize': '{size.text.small}', '/lineHeight': 1.4 });
  b.textStyle('style-nav', 'Navigation', {
    ...display,
    '/fontSize': '{size.text.base}',
    '/fontWeight': 600,
    '/lineHeight': 1.25,
  });
  b.textStyle('style-article', 'Article title', {
    ...display,
    '/fontSize': '{size.text.step-4}',
    '/fontWeight': 700,
    '/lineHeight': 1.08,
    '@narrow/fontSize': '{size.text.step-3}',
  });
  b.textStyle('style-byline', 'Byline', { ...body, '/fontSize': '{size.text.small}', '/lineHeight': 1.5 });
  b.textStyle('style-table', 'Table heading', {
    ...display,
    '/fontSize': '{size.text.small}',
    '/fontWeight': 700,
    '/lineHeight': 1.3,
  });
}
