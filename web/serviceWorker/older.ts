/** What the build before this one had and this one has not. */
export const OLDER = 'older-build';

/**
 * Puts aside what pages of the build before may still ask for, before its cache is tidied.
 * @param kept name of the cache that both builds keep their files in
 */
export async function keepOlder(
  caches: CacheStorage,
  kept: string,
  files: readonly { readonly url: string }[],
): Promise<void> {
  const now = await caches.open(kept);
  const ours = new Set(files.map(({ url }) => `/${url}`));
  const theirs = (await now.keys()).filter(({ url }) => {
    const { pathname } = new URL(url);
    return pathname.startsWith('/assets/') && !ours.has(pathname);
  });
  // The same build once more, or the first: those of the build before stay.
  if (theirs.length === 0) return;
  await caches.delete(OLDER);
  const older = await caches.open(OLDER);
  for (const request of theirs) {
    const response = await now.match(request);
    if (response) await older.put(request, response);
  }
}
