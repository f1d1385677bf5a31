import type { Content, ContentField, Site, WidgetRecord } from '@cove/core';

/** What a control of a field of a widget is given. */
export interface ContentControl<F extends ContentField> {
  site: Site;
  widget: WidgetRecord;
  field: F;
  value: Content;
  /** `since` is the last change that was seen when the work on it began, where that took a while. */
  onChange(value: Content, since?: number): void;
  /** Counts how often the words were asked for, by a double click on them for example. */
  askedForWords: number;
}
