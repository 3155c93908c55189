// Part of the service worker: photos that another app shares are laid by, and the page that takes them in is opened.
self.addEventListener('fetch', (event) => {
  const { request } = event;
  if (request.method !== 'POST' || new URL(request.url).pathname !== '/photos') return;
  event.respondWith(
    (async () => {
      const files = (await request.formData()).getAll('photos').filter((one) => one instanceof File);
      const shelf = await caches.open('yardmist-handed');
      for (const [n, file] of files.entries())
        await shelf.put(
          `/handed/${Date.now()}-${n}`,
          new Response(file, { headers: { 'content-type': file.type, 'x-name': encodeURIComponent(file.name) } }),
        );
      return Response.redirect('/photos', 303);
    })(),
  );
});
