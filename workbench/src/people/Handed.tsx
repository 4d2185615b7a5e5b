import type { Invited } from '../api/client';

/** What becomes of a way in that was made for somebody: sent, or to be handed over. */
export function Handed({ invited, to }: { readonly invited: Invited; readonly to: string }) {
  return (
    <p className="who-is-in-made" role="status">
      <span>
        {invited.mailed ? `A message went to ${to}.` : `No message could be sent to ${to}.`}
        {!invited.mailed &&
          invited.address === '' &&
          ' Whoever owns the installation can give them a way in.'}
        {invited.mailbox !== '' && invited.mailed && (
          <>
            {' '}
            No server of mail is set up, so it is in{' '}
            <a className="link" href={invited.mailbox} target="_blank" rel="noreferrer">
              the mailbox that ships with Giostra
            </a>
            .
          </>
        )}
        {invited.address !== '' && ' You can also hand this over; it lets one browser in, once:'}
      </span>
      {invited.address !== '' && <code data-way-in>{invited.address}</code>}
    </p>
  );
}
