import { useId, useState } from 'react';
import type { DestinationAsked } from '../api/client';

interface Sort {
  readonly word: string;
  readonly label: string;
  readonly address: string;
  readonly example: string;
  /** What else has to be named there, if anything. */
  readonly place?: string;
  readonly account?: string;
  readonly secret?: string;
}

const SORTS: readonly Sort[] = [
  {
    word: 'folder',
    label: 'A folder of the machine that Giostra runs on',
    address: 'Path, beneath the folder that is for it',
    example: 'club/site',
  },
  {
    word: 's3',
    label: 'A store that speaks S3',
    address: 'Address',
    example: 'https://store.example',
    place: 'Bucket',
    account: 'Access key',
    secret: 'Its secret',
  },
  {
    word: 'git',
    label: 'A Git repository',
    address: 'Address, or a path beneath the folder that is for it',
    example: 'https://code.example/club.git',
    place: 'Branch',
    account: 'Account, if it asks for one',
    secret: 'Password or token',
  },
  {
    word: 'webdav',
    label: 'A web server that takes files (WebDAV)',
    address: 'Address of a folder',
    example: 'https://files.example/club/',
    account: 'Account, if it asks for one',
    secret: 'Password',
  },
];

const EMPTY: DestinationAsked = {
  name: '',
  sort: 'folder',
  address: '',
  place: '',
  folder: '',
  account: '',
  secret: '',
  follows: true,
};

interface Props {
  /** Places that ship, to be tried. */
  readonly tries: readonly DestinationAsked[];
  readonly pending: boolean;
  readonly problem: string;
  onAdd(asked: DestinationAsked): void;
  onLeave(): void;
}

/** Where releases are to go. What was typed stays when it is refused. */
export function AddPlace({ tries, pending, problem, onAdd, onLeave }: Props) {
  const id = useId();
  const [asked, setAsked] = useState(EMPTY);
  const sort = SORTS.find((each) => each.word === asked.sort) ?? SORTS[0];
  if (!sort) return null;
  const tried = tries.find((each) => each.sort === asked.sort);
  const field = (
    name: 'name' | 'address' | 'place' | 'folder' | 'account' | 'secret',
    label: string,
    more: { placeholder?: string; required?: boolean; type?: string } = {},
  ) => (
    <>
      <label htmlFor={id + name}>{label}</label>
      <input
        id={id + name}
        className="input input-sm"
        autoComplete="off"
        spellCheck={false}
        value={asked[name]}
        onChange={(event) => setAsked({ ...asked, [name]: event.target.value })}
        {...more}
      />
    </>
  );
  return (
    <form
      className="ship-place-form"
      aria-label="Another place"
      onSubmit={(event) => {
        event.preventDefault();
        // What the kind does not ask for is not sent, though it stays for another one.
        onAdd({
          ...asked,
          place: sort.place ? asked.place : '',
          account: sort.account ? asked.account : '',
          secret: sort.secret ? asked.secret : '',
        });
      }}
    >
      <label htmlFor={`${id}sort`}>What it is</label>
      <select
        id={`${id}sort`}
        className="select select-sm"
        value={asked.sort}
        onChange={(event) => setAsked({ ...asked, sort: event.target.value })}
      >
        {SORTS.map((each) => (
          <option key={each.word} value={each.word}>
            {each.label}
          </option>
        ))}
      </select>
      {tried && (
        <button type="button" className="link justify-self-start" onClick={() => setAsked(tried)}>
          Fill in one that ships, to try it
        </button>
      )}
      {field('name', 'What you call it', { required: true, placeholder: 'The club’s own server' })}
      {field('address', sort.address, { required: true, placeholder: sort.example })}
      {sort.place && field('place', sort.place, { required: true })}
      {field('folder', 'Folder in it, if not at its top', { placeholder: 'pages' })}
      {sort.account && field('account', sort.account)}
      {sort.secret && field('secret', sort.secret, { type: 'password' })}
      <label className="ship-place-follows">
        <input
          type="checkbox"
          className="checkbox checkbox-xs"
          checked={asked.follows}
          onChange={(event) => setAsked({ ...asked, follows: event.target.checked })}
        />
        Each release goes there by itself
      </label>
      <p className="ship-actions">
        <button type="submit" className="btn btn-sm btn-primary" disabled={pending}>
          Add it
        </button>
        <button type="button" className="btn btn-sm btn-ghost" onClick={onLeave}>
          Not now
        </button>
      </p>
      {problem !== '' && (
        <p role="alert" className="text-error">
          {problem}
        </p>
      )}
    </form>
  );
}
