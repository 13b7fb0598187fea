import { type Key, usePressed } from '@/features/rig/pressed';

/** Letters and digits: what a view may answer to, and no browser does. */
const isOfView = ({ key, ctrlKey, metaKey, altKey, target }: KeyboardEvent): boolean =>
  /^[\p{L}\p{N}]$/u.test(key) &&
  !(ctrlKey || metaKey || altKey) &&
  !(
    target instanceof HTMLElement &&
    (target.isContentEditable || target.matches('input, select, textarea'))
  );

const keep = (event: KeyboardEvent): void => {
  if (!isOfView(event)) return;
  const { key, code, shiftKey } = event;
  usePressed.getState().pressKey({ key, code, shiftKey });
};

/** From now on keys of the view are kept, until `handKeysOver`. */
export const keepKeys = (): void => window.addEventListener('keydown', keep);

export const keepNoKeys = (): void => window.removeEventListener('keydown', keep);

const pressAgain = ({ key, code, shiftKey }: Key): void => {
  const target = document.activeElement ?? document.body;
  const like = { key, code, shiftKey, bubbles: true, cancelable: true };
  target.dispatchEvent(new KeyboardEvent('keydown', like));
  target.dispatchEvent(new KeyboardEvent('keyup', like));
};

/** The view is there: what was pressed before is pressed again, in its order, and nothing is kept any more. */
export const handKeysOver = (): void => {
  keepNoKeys();
  usePressed.getState().takeKeys().forEach(pressAgain);
};
