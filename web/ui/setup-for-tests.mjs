/** What jsdom lacks and components ask for: it lays nothing out, so nothing is watched or scrolled. */
globalThis.structuredClone ??= (value) => JSON.parse(JSON.stringify(value));

if (globalThis.Element) {
  globalThis.ResizeObserver ??= class {
    observe() {}
    unobserve() {}
    disconnect() {}
  };
  globalThis.Element.prototype.scrollIntoView ??= () => undefined;
}
