/** Apart from the others, since it is started within a worker too. */
export const startLogs = () =>
  new Worker(new URL('./logs.worker.ts', import.meta.url), { type: 'module', name: 'logs' })
