import { above, below, type Looks } from '../kit/looks.ts';

export const spaceLooks: Looks = {
  look: {
    'Lines above and below': { ...above('room', 'role.line'), ...below('room', 'role.line') },
    Tinted: { 'room/backgroundColor': 'role.raised' },
    'Only where there is room': { 'room@narrow/display': 'none' },
  },
};
