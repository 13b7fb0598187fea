/** What jsdom lacks and components ask for: it lays nothing out, so nothing is watched or scrolled. */
globalThis.structuredClone ??= (value) => JSON.parse(JSON.stringify(value));

if (globalThis.Element) {
  globalThis.ResizeObserver ??= class {
    observe() {}
    unobserve() {}
    disconnect() {}
  };
  globalThis.IntersectionObserver ??= class {
    observe() {}
    unobserve() {}
    disconnect() {}
  };
  globalThis.PointerEvent ??= class extends globalThis.MouseEvent {};
  // Nothing is painted: a chart has its words and its table, as for whoever cannot see it.
  globalThis.HTMLCanvasElement.prototype.getContext = () => null;
  globalThis.document.fonts ??= { ready: Promise.resolve() };
  globalThis.Element.prototype.scrollIntoView ??= () => undefined;
}
