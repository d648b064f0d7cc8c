// Shows the calls of Dremsa as notifications, also where a page itself may not (phones), and opens
// the screen that a call is about.
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
