import { useQueryClient } from '@tanstack/react-query';
import { mayRole, type PeopleView } from '@yaylak/contract';
import { useNavigate } from 'react-router';
import { ask } from '../../api/client';
import { forgetRead } from '../../api/forget';
import { holdingQuery, peopleQuery } from '../../api/queries';
import { useOutbox } from '../../outbox/useOutbox';

/** Hands a device over: to who logs in, or to nobody. */
export interface Hands {
  /** @throws Error in words */
  readonly logIn: (name: string, password: string) => Promise<void>;
  /** @throws Error in words */
  readonly switchTo: (id: string, pin: string) => Promise<void>;
  /** @throws Error in words */
  readonly logOut: () => Promise<void>;
}

export function useHands(): Hands {
  const outbox = useOutbox();
  const client = useQueryClient();
  const navigate = useNavigate();
  const come = async (path: string, body: object): Promise<void> => {
    // What the one before wrote goes while they are still logged in.
    await outbox.flush();
    const view = await ask<PeopleView>(path, { method: 'POST', body });
    // One who sees less is not shown what others read here.
    if (!mayRole(view.me?.role, 'trade')) await forgetRead(client);
    client.setQueryData(peopleQuery.queryKey, view);
    // The name that stands under what is written next, before anything is written.
    await client.fetchQuery({ ...holdingQuery, staleTime: 0 } as never);
    void client.invalidateQueries();
    void outbox.flush();
    void navigate('/');
  };
  return {
    logIn: (name, password) => come('/api/household/log-in', { name, password }),
    switchTo: (id, pin) => come('/api/household/switch', { id, pin }),
    logOut: async () => {
      await outbox.flush();
      await ask('/api/household/log-in', { method: 'DELETE' });
      await forgetRead(client);
      window.location.assign('/log-in');
    },
  };
}
