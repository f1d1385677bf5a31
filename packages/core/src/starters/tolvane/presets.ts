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
  grounds(b);
  treatments(b);
}

function grounds(b: SiteBuilder): void {
  b.preset(
    'open-water',
    'Open water',
    {
      'firstLayer/backgroundImage': 'pattern(swell, role.line)',
      'firstLayer/backgroundSize': '4.5rem',
      'firstLayer/backgroundRepeat': 'repeat',
      'firstLayer/left': '60%',
      'firstLayer/opacity': 0.7,
      'firstLayer/rotate': -4,
      'firstLayer@narrow/left': '0%',
      'firstLayer@narrow/top': '70%',
      'secondLayer/backgroundColor': 'role.accent',
      'secondLayer/top': 'auto',
      'secondLayer/height': '0.375rem',
      'thirdLayer/backgroundImage': 'pattern(beacon, role.accent)',
      'thirdLayer/backgroundSize': 'contain',
      'thirdLayer/left': 'auto',
      'thirdLayer/top': 'auto',
      'thirdLayer/right': '1.5rem',
      'thirdLayer/bottom': '0.375rem',
      'thirdLayer/width': '3rem',
      'thirdLayer/height': '3rem',
      'fourthLayer/backgroundImage': 'pattern(swell, role.line)',
      'fourthLayer/backgroundSize': '3rem',
      'fourthLayer/backgroundRepeat': 'repeat-x',
      'fourthLayer/backgroundPositionY': '100%',
      'fourthLayer/bottom': '0.375rem',
      'fourthLayer/opacity': 0.6,
    },
    { use: 'ground' },
  );
  b.preset(
    'fair-weather',
    'Fair weather',
    {
      'fill/backgroundColor': 'role.raised',
      'bottomEdge/edgeShape': 'wave',
      'bottomEdge/height': '2rem',
    },
    { use: 'ground' },
  );
}

function treatments(b: SiteBuilder): void {
  b.preset(
    'print',
    'Print',
    {
      'mount/backgroundColor': 'role.raised',
      'mount/paddingTop': '0.75rem',
      'mount/paddingRight': '0.75rem',
      'mount/paddingBottom': '0.75rem',
      'mount/paddingLeft': '0.75rem',
      'mount/rotate': -1.5,
      'mount/boxShadow': '{shadow.shadows.lift}',
    },
    { use: 'treatment', instead: { 'heather-moor': 'print-at-night', 'night-run': 'print-at-night' } },
  );
  b.preset(
    'print-at-night',
    'Print at night',
    {
      'mount/rotate': 1,
      'picture/borderTopWidth': '3px',
      'picture/borderTopStyle': 'solid',
      'picture/borderTopColor': 'role.accent',
      'markBefore/backgroundImage': 'pattern(beacon, role.accent)',
      'markBefore/width': '3.5rem',
      'markBefore/height': '3.5rem',
    },
    { use: 'treatment' },
  );
  b.preset(
    'rope-corner',
    'Rope corner',
    {
      'markBehind/backgroundColor': 'role.accent',
      'markBehind/width': '60%',
      'markBehind/height': '60%',
      'markBehind/right': '-0.5rem',
      'markBehind/bottom': '-0.5rem',
      'picture/borderTopLeftRadius': '0rem',
    },
    { use: 'treatment' },
  );
}
