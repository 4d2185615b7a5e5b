import { Link } from 'react-router';

/** Our sign and name; leads home. */
export function Brand() {
  return (
    <Link to="/" className="flex items-center gap-2 shrink-0" aria-label="Giostra, to the shelf">
      <img src="/icon.svg" alt="" className="size-6" />
      <span className="font-serif text-[19px] font-semibold">Giostra</span>
    </Link>
  );
}
