import { conversionsOf, convertWidget, elementNamed, nameOf, type Site, type WidgetRecord } from '@cove/core';
import { toast } from 'sonner';
import { useCommit } from '../session/context.tsx';
import { ActMenu } from '../ui/ActMenu.tsx';

/** Makes another widget of one that carries the same content; nothing where there is no such other. */
export function ChangeTo({ site, widget }: { site: Site; widget: WidgetRecord }) {
  const commit = useCommit();
  const others = conversionsOf(widget.widget).map(({ to }) => ({ value: to, label: elementNamed(to).label }));
  if (others.length === 0) return null;
  const change = (to: string) => {
    const made = convertWidget(site, widget.id, to);
    if (!made.ok) {
      toast.error(made.problem.message);
      return;
    }
    const { label } = elementNamed(to);
    if (!commit(made.value.edits, `Change ${nameOf(site, widget.id)} to ${label.toLowerCase()}`)) return;
    const { parked } = made.value;
    if (parked.length > 0) toast(`${label} cannot show: ${parked.join(', ')}. Kept for changing back.`);
  };
  return <ActMenu label="Change to" className="h-7!" options={others} onChoose={change} />;
}
