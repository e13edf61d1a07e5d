/** A part of the day, under its heading. */
export function Section({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <section aria-label={title} style={{ marginTop: 14 }}>
      <h2 className="soft" style={{ margin: '0 0 6px', fontSize: 14, fontWeight: 600 }}>
        {title}
      </h2>
      {children}
    </section>
  )
}
