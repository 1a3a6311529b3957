const FIELDS = 'input:not([type="hidden"], [disabled]), select:not([disabled]), textarea:not([disabled])'

/** Focus to what is found first in a dialog, else to the dialog itself: never to its close button, which Enter presses. */
const focusing = (fields: string) => ({
  onOpenAutoFocus: (event: Event) => {
    const dialog = event.target
    if (!(dialog instanceof HTMLElement)) return
    event.preventDefault()
    const field = dialog.querySelector<HTMLElement>(fields)
    if (!field) dialog.tabIndex = -1
    ;(field ?? dialog).focus({ preventScroll: true })
  },
})
/** A question: its first field is typed into at once. */
export const toFirstField = focusing(`[autofocus], ${FIELDS}`)
/** A sheet: it is read first, and no keyboard comes up over it. */
export const toItself = focusing('[autofocus]')
