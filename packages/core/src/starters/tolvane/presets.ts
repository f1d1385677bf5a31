import type { SiteBuilder } from '../build.ts';

export function presets(b: SiteBuilder): void {
  b.preset('ticket', 'Ticket', {
    'box/borderTopWidth': '2px',
    'box/borderTopStyle': 'dashed',
    'box/borderTopColor': 'role.accent',
    'box/paddingTop': '{size.space.two}',
  });
  b.preset('low-tide', 'Low tide', {
    'box/opacity': 0.92,
    'heading/fontWeight': 500,
    'label:hover/letterSpacing': '0.01em',
  });
}
