import { Navigate, useParams } from 'react-router';
import { useMe } from '../people/me';
import { ReviewPage } from './ReviewPage';

/** The page that a guest's link leads to. */
export function Guests() {
  const page = useMe()?.review;
  return page == null ? <Navigate to="/" replace /> : <ReviewPage page={page} />;
}

/** The same for people with an account. */
export function TeamReview() {
  const { id = '' } = useParams();
  return <ReviewPage key={id} page={id} />;
}
