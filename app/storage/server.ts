const meta = (name: string) => document.querySelector<HTMLMetaElement>(`meta[name="${name}"]`)?.content

/** Whether the server that comes with the app is here: it has the demo and simulated instruments. A plain web host has neither. */
export const hasServer = meta('ember-server') === 'here'

/** Path under which the app was built to be served, `/` or such as `/studio/`. */
export const basePath = meta('ember-base') ?? '/'
