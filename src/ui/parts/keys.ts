import type { Options } from 'react-hotkeys-hook';

/** Keys work wherever the focus is, on grips and radio buttons too, but never where text is being typed. */
export const KEYS: Options = {
  enableOnFormTags: true,
  ignoreEventWhen: ({ target }) =>
    target instanceof HTMLTextAreaElement ||
    (target instanceof HTMLInputElement && !['radio', 'checkbox', 'button'].includes(target.type)),
};
