import type { ReactNode } from 'react';

/** What stands before the sites: the sign of the program, and one thing to do. */
export function Front({ title, lead, children }: { title: string; lead?: ReactNode; children: ReactNode }) {
  return (
    <main className="grid min-h-full place-content-center p-6">
      <div className="w-[340px]">
        <svg viewBox="0 0 340 44" className="mb-5 w-full" aria-hidden>
          <path
            d="M0 30c60 0 70-22 120-22s60 28 110 28 60-14 110-14"
            fill="none"
            className="stroke-madder"
            strokeWidth="1.5"
          />
          <circle cx="120" cy="8" r="4" className="fill-ground stroke-madder" strokeWidth="1.5" />
          <circle cx="230" cy="36" r="4" className="fill-madder stroke-madder" strokeWidth="1.5" />
        </svg>
        <h1 className="text-[22px] font-semibold tracking-tight">{title}</h1>
        <p className="mt-1 mb-5 text-muted">{lead}</p>
        {children}
      </div>
    </main>
  );
}
