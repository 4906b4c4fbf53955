/** What is built, in this order: the page, the server, and the worker that keeps the page for when there is no network. */
export const BUILDS = [
  ['build'],
  ['build', '--config', 'vite.server.config.ts'],
  ['build', '--config', 'vite.offline.config.ts'],
]
