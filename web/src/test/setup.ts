import '@testing-library/jest-dom/vitest';
import { configure } from '@testing-library/react';

// A busy machine draws slowly; a test waits for what it expects, not for a second.
configure({ asyncUtilTimeout: 15_000 });

Object.defineProperty(window, 'matchMedia', {
  value: (query: string) => ({
    matches: false,
    media: query,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
    addListener: () => undefined,
    removeListener: () => undefined,
  }),
});

window.ResizeObserver = class {
  observe() {}
  unobserve() {}
  disconnect() {}
};

Element.prototype.scrollIntoView = () => undefined;

// Mantine's growing text fields listen for fonts.
Object.defineProperty(document, 'fonts', {
  value: { addEventListener: () => undefined, removeEventListener: () => undefined },
});
