// Shows the calls of Dremsa as notifications, also with every page closed, and opens the screen that
// a call is about. Taken into the worker that keeps the pages (see vite.config.ts).
self.addEventListener('push', (event) => {
  let call = {};
  try {
    call = event.data?.json() ?? {};
  } catch {
    // What cannot be read still calls: a pot may be due.
  }
  event.waitUntil(
    self.registration.showNotification(call.title || 'Dremsa', {
      body: call.words || 'A pot is due.',
      tag: call.tag,
      renotify: Boolean(call.tag),
      requireInteraction: call.kind === 'LATE',
      icon: '/mark-192.png',
      badge: '/mark-192.png',
      data: call.link,
    }),
  );
});

self.addEventListener('notificationclick', (event) => {
  event.notification.close();
  const address = new URL(event.notification.data || '/tray', self.location.origin).href;
  event.waitUntil(
    self.clients.matchAll({ type: 'window', includeUncontrolled: true }).then((pages) => {
      const page = pages.find((p) => 'focus' in p);
      return page
        ? page.focus().then((p) => ('navigate' in p ? p.navigate(address) : p))
        : self.clients.openWindow(address);
    }),
  );
});
