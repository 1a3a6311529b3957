/**
 * Brings into sight what was drawn last, in the next frame: it is laid out there anyway, while asking for it at once has
 * the whole page laid out within the tap.
 */
export function bringIntoSight(find: () => Element | null | undefined): void {
  requestAnimationFrame(() => find()?.scrollIntoView({ block: 'nearest', inline: 'nearest' }))
}
