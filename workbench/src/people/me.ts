import { useQuery } from '@tanstack/react-query';
import type { Me } from '../api/client';
import { meQuery } from './entering';

/** What somebody may do on a site; each may do what those before it may. */
export const ROLES = ['reviewer', 'writer', 'designer', 'owner'] as const;
export type Role = (typeof ROLES)[number];

/** What each role is for. */
export const roleSays: Readonly<Record<Role, string>> = {
  reviewer: 'looks and remarks',
  writer: 'fills in texts and pictures',
  designer: 'builds and publishes',
  owner: 'also says who has a part in it',
};

/** Who is in, as the way in has found out. */
export function useMe(): Me | undefined {
  return useQuery(meQuery).data;
}

/** Whether somebody may do on a site what a role is needed for. */
export function may(me: Me | undefined, site: string, needed: Role): boolean {
  if (!me) return false;
  if (me.owns) return true;
  const role = ROLES.indexOf(me.roles[site] as Role);
  return role >= ROLES.indexOf(needed);
}
