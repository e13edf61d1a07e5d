import layout from '../ui/layout.module.css'
import css from './day.module.css'
/** A part of the day, under its heading. */
export function Section({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <section aria-label={title} className={layout.below}>
      <h2 className={`soft ${css.section}`}>{title}</h2>
      {children}
    </section>
  )
}
