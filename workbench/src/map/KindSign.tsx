import type { LucideProps } from 'lucide-react';
import type { ReactNode } from 'react';

/** What is drawn for each kind of piece: our own signs, of what moves or folds. */
const drawn: Readonly<Record<string, ReactNode>> = {
  slider: (
    <>
      <rect x="3" y="4" width="18" height="13" rx="2" />
      <path d="M9 21h.01M12 21h3" />
    </>
  ),
  carousel: (
    <>
      <rect x="7.5" y="4" width="9" height="16" rx="2" />
      <path d="M3 7v10M21 7v10" />
    </>
  ),
  tabs: <path d="M3 9V6a2 2 0 0 1 2-2h4v5h12v9a2 2 0 0 1-2 2H5a2 2 0 0 1-2-2zM13 4h3M19 4h2" />,
  accordion: <path d="M4 5h12M20 5h.01M4 10h16v5H4zM4 20h12M20 20h.01" />,
  'flip-boxes': <path d="M12 3v18M9 6 4 8v10l5-2M15 6l5 2v10l-5-2" />,
  video: <path d="M3 5h18v10H3zM10 8l4 2-4 2zM3 20h12M19 20h2M15 18v4" />,
  counters: <path d="M4 20h16M6 16v-3M11 16V9M16 16V4M13.5 6.5 16 4l2.5 2.5" />,
};

/** The sign of a kind of piece. */
export function kindSign(kind: string) {
  return function KindSign({ size = 16, className }: LucideProps) {
    return (
      <svg
        width={size}
        height={size}
        viewBox="0 0 24 24"
        fill="none"
        stroke="currentColor"
        strokeWidth={2}
        strokeLinecap="round"
        strokeLinejoin="round"
        aria-hidden="true"
        {...(className ? { className } : {})}
      >
        {drawn[kind]}
      </svg>
    );
  };
}
