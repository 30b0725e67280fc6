// Part of the service worker: a file that another application shares with Kovelin is put by, and the page that asks about it is opened.
self.addEventListener('fetch', (event) => {
  const { request } = event;
  if (request.method !== 'POST' || new URL(request.url).pathname !== '/bring-in') return;
  // a form of another page names that; one that hides it looks like the device's share sheet, so the page asks before it is opened
  const from = [request.headers.get('Origin') ?? 'null', request.referrer ? new URL(request.referrer).origin : 'null'];
  if (from.some((origin) => origin !== 'null' && origin !== self.location.origin))
    return event.respondWith(Response.redirect('/bring-in', 303));
  event.respondWith(
    (async () => {
      const file = (await request.formData()).get('file');
      if (file instanceof File) {
        const cache = await caches.open('kovelin-shared');
        const headers = { 'X-Name': encodeURIComponent(file.name) };
        await cache.put('/shared-file', new Response(file, { headers }));
      }
      return Response.redirect('/bring-in?shared', 303);
    })(),
  );
});
