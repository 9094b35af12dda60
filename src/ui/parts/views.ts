/** How the bench is looked at. */
export const VIEWS = [
  { value: 'together', label: 'Together' },
  { value: 'sheet', label: 'Sheet' },
  { value: 'folded', label: 'Folded' },
  { value: 'paper', label: 'On paper' },
  { value: 'steps', label: 'Steps' },
  { value: 'cutting', label: 'Cutting' },
  { value: 'fit', label: 'Fit' },
] as const;
export type ViewName = (typeof VIEWS)[number]['value'];
