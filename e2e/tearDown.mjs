/** After the last test file. */
export default async function tearDown() {
  await globalThis.endOfPool();
}
