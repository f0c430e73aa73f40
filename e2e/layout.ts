/** What is wrong with the layout of a page: measured in the browser, on every text that is drawn. */
export interface LayoutFault {
  kind: 'page too wide' | 'cut' | 'overlap' | 'small target'
  text: string
  detail: string
}

/**
 * Runs in the page. A text is cut where it reaches out of the window or of a box that hides what flows over; two texts
 * overlap where the rectangles of their lines cross. What stays in place while the page scrolls under it is compared
 * with its like only. Drawings (charts, pictures) hold their own words and are left out.
 */
export function findLayoutFaults(smallestTarget: number): LayoutFault[] {
  const faults: LayoutFault[] = []
  const root = document.documentElement
  if (root.scrollWidth > root.clientWidth + 1)
    faults.push({
      kind: 'page too wide',
      text: document.title,
      detail: `${root.scrollWidth} > ${root.clientWidth}`,
    })
  interface Line {
    element: Element
    text: string
    box: DOMRect
    /** The nearest ancestor that stays in place while the page scrolls. */
    layer: Element | null
  }
  const scrolls = (overflow: string) => overflow === 'auto' || overflow === 'scroll'
  const hides = (overflow: string) => overflow === 'hidden' || overflow === 'clip'
  const layerOf = (element: Element): Element | null => {
    for (let at: Element | null = element; at; at = at.parentElement) {
      const { position } = getComputedStyle(at)
      if (position === 'fixed' || position === 'sticky') return at
    }
    return null
  }
  const isSeen = (element: Element): boolean =>
    element.checkVisibility({
      opacityProperty: true,
      visibilityProperty: true,
      contentVisibilityAuto: true,
    }) && !element.closest('.es-unseen, [data-drawing], canvas, svg, [inert]')
  /** Out of sight in a box that can be scrolled to it. */
  const isScrolledAway = (element: Element, box: DOMRect): boolean => {
    for (let at: Element | null = element; at; at = at.parentElement) {
      const { overflowX, overflowY } = getComputedStyle(at)
      const hull = at.getBoundingClientRect()
      if (scrolls(overflowY) && (box.bottom > hull.bottom || box.top < hull.top)) return true
      if (scrolls(overflowX) && (box.right > hull.right || box.left < hull.left)) return true
    }
    return false
  }
  const lines: Line[] = []
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    const element = node.parentElement
    const text = node.textContent?.trim()
    if (!element || !text || !isSeen(element)) continue
    const range = document.createRange()
    range.selectNodeContents(node)
    const layer = layerOf(element)
    const lineHeight = Number.parseFloat(getComputedStyle(element).lineHeight) || Infinity
    for (const drawn of range.getClientRects()) {
      // The letters of a line are drawn within its height, however high the font says it is.
      const spare = Math.max(0, drawn.height - lineHeight) / 2
      const box = new DOMRect(drawn.x, drawn.y + spare, drawn.width, drawn.height - 2 * spare)
      if (box.width > 1 && box.height > 1 && !isScrolledAway(element, box))
        lines.push({ element, text: text.slice(0, 60), box, layer })
    }
  }

  for (const { element, text, box } of lines) {
    let isScrolled = false
    for (let at: Element | null = element; at && !isScrolled; at = at.parentElement) {
      const style = getComputedStyle(at)
      const hull = at.getBoundingClientRect()
      isScrolled = scrolls(style.overflowX)
      if (hides(style.overflowX) && (box.right > hull.right + 1.5 || box.left < hull.left - 1.5)) {
        faults.push({ kind: 'cut', text, detail: `${Math.round(box.right - hull.right)} px by ${at.className || at.tagName}` }) // prettier-ignore
        break
      }
      if (hides(style.overflowY) && (box.bottom > hull.bottom + 4 || box.top < hull.top - 4)) {
        faults.push({ kind: 'cut', text, detail: `${Math.round(box.bottom - hull.bottom)} px in height by ${at.className || at.tagName}` }) // prettier-ignore
        break
      }
    }
    if (!isScrolled && (box.right > root.clientWidth + 1 || box.left < -1))
      faults.push({
        kind: 'cut',
        text,
        detail: `by the window, ${Math.round(box.right - root.clientWidth)} px`,
      })
  }

  for (const [at, one] of lines.entries())
    for (const other of lines.slice(at + 1)) {
      if (one.layer !== other.layer || one.element === other.element) continue
      const across = Math.min(one.box.right, other.box.right) - Math.max(one.box.left, other.box.left)
      const down = Math.min(one.box.bottom, other.box.bottom) - Math.max(one.box.top, other.box.top)
      // Lines of one paragraph are set close enough for their boxes to touch.
      if (across > 2 && down > 0.35 * Math.min(one.box.height, other.box.height))
        faults.push({ kind: 'overlap', text: one.text, detail: `with “${other.text}”` })
    }

  for (const target of document.querySelectorAll(
    'button, a[href], input, select, textarea, [role=button], [role=tab], summary',
  )) {
    // prettier-ignore
    if (!isSeen(target)) continue
    // A link in a sentence is as high as its line; a hidden field is pressed on its label.
    const label = target.closest('label, .el-select, .el-input')
    const box = (label ?? target).getBoundingClientRect()
    const isInSentence = target.tagName === 'A' && getComputedStyle(target).display === 'inline'
    if (box.width && !isInSentence && (box.height < smallestTarget - 0.5 || box.width < smallestTarget - 0.5))
      faults.push({
        kind: 'small target',
        text: (target.getAttribute('aria-label') ?? target.textContent ?? '').trim().slice(0, 60),
        detail: `${Math.round(box.width)} × ${Math.round(box.height)}`,
      })
  }
  return faults
}
