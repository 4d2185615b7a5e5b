/** A list with what it is of; nothing where there is none. */
export function Told({ title, all }: { readonly title: string; readonly all: readonly string[] }) {
  if (all.length === 0) return null;
  return (
    <div>
      <p>{title}</p>
      <ul className="list-disc pl-5">
        {all.map((each) => (
          <li key={each}>{each}</li>
        ))}
      </ul>
    </div>
  );
}
