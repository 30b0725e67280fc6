// Part of the service worker: a file that another application shares with Kovelin is put by, and the page that looks at it is opened.
self.addEventListener('fetch', (event) => {
  const { pathname } = new URL(event.request.url);
  if (event.request.method !== 'POST' || pathname !== '/bring-in') return;
  event.respondWith(
    (async () => {
      const file = (await event.request.formData()).get('file');
      if (file instanceof File) {
        const cache = await caches.open('kovelin-shared');
        const headers = { 'X-Name': encodeURIComponent(file.name) };
        await cache.put('/shared-file', new Response(file, { headers }));
      }
      return Response.redirect('/bring-in?shared', 303);
    })(),
  );
});
