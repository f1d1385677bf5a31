/** The face of a menu that opens over the page. */
export const MENU =
  'thin-scroll z-50 max-h-[min(60vh,var(--radix-dropdown-menu-content-available-height))] min-w-[var(--radix-dropdown-menu-trigger-width)] max-w-80 overflow-auto rounded-md border border-hair bg-paper p-1 text-base text-ink shadow-lg';
/** A line of one. */
export const MENU_ITEM =
  'cursor-pointer truncate rounded-sm px-2 py-1 outline-none data-[highlighted]:bg-teal/10 data-[highlighted]:text-teal';
