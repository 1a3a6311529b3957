import { h, markRaw } from 'vue'

/** The one icon that the UI library draws here, as ours: so no icon library comes along for it. */
const CLOSE = markRaw(() =>
  h('svg', { viewBox: '0 0 24 24', width: 24, height: 24, 'aria-hidden': 'true' }, [
    h('path', { d: 'M6 6L18 18M18 6L6 18', class: 'l-edge' }),
  ]),
)

// Nuxt UI in the marking-out language: ruled edges, no fill, no shadow, no rounding.
export default defineAppConfig({
  ui: {
    icons: { close: CLOSE as unknown as string },
    modal: {
      slots: {
        overlay: 'bg-[var(--paper)]/70',
        content:
          'bg-[var(--paper)] rounded-none shadow-none ring-0 border border-[var(--rule)] border-t-[3px] border-t-[var(--ink)] max-w-[560px] divide-y-0',
        title: 'text-[20px] font-bold text-[var(--ink)]',
        description: 'text-[15px] text-[var(--ink2)]',
      },
    },
    slideover: {
      slots: {
        overlay: 'bg-[var(--paper)]/60',
        content: 'bg-[var(--paper)] rounded-none shadow-none ring-0 border-[var(--rule)] divide-y-0',
        header: 'min-h-14 border-b border-[var(--rule)]',
        title: 'text-[20px] font-bold text-[var(--ink)]',
        description: 'text-[14px] text-[var(--ink2)]',
      },
      variants: { side: { right: { content: 'border-l max-w-[430px]' }, bottom: { content: 'border-t max-h-[80%]' } } },
    },
  },
})
