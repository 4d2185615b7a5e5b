import type { LucideProps } from 'lucide-react';

/** The sign of a carousel: one card in view, and its neighbours. */
export function CarouselSign({ size = 16, ...rest }: LucideProps) {
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
      {...(rest.className ? { className: rest.className } : {})}
    >
      <rect x="7.5" y="4" width="9" height="16" rx="2" />
      <path d="M3 7v10M21 7v10" />
    </svg>
  );
}
