/** Stands for the address of a worker's script where there is no browser to start one. */
export default 'worker.js'
