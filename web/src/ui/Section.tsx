import type { ReactNode } from 'react';

/** A titled part of a panel. */
export function Section({ title, children, extra }: { title: string; children: ReactNode; extra?: ReactNode }) {
  return (
    <section className="section">
      <h3>
        {title} {extra}
      </h3>
      {children}
    </section>
  );
}

/** A name and what stands for it. */
export function Line({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className="line">
      <span>{label}</span>
      <div>{children}</div>
    </div>
  );
}
