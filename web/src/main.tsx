import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/bricolage-grotesque';
import '@mantine/core/styles.css';
import '@mantine/notifications/styles.css';
import './kit/look.css';
import { createRoot } from 'react-dom/client';
import { App } from './app/App';

createRoot(document.getElementById('root')!).render(<App />);

// Pages are kept for when there is no line, and calls are shown; both need https, or this machine.
if ('serviceWorker' in navigator && import.meta.env.PROD) {
  void navigator.serviceWorker.register('/worker.js').catch(() => undefined);
}
