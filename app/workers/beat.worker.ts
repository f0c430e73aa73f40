/** Four beats a second, so that a clock's seconds change when they should. */
setInterval(() => postMessage(0), 250)
