import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Changes } from './changes.js';

/** A change on the server, after which the named queries are asked anew. */
export function useChange<Input, Output>(change: (input: Input) => Promise<Output>, ...stale: string[]) {
  const client = useQueryClient();
  const [changes] = useState(() => new Changes());
  return useMutation({
    mutationFn: (input: Input) => changes.make(input, change),
    onSuccess: () => Promise.all(stale.map((key) => client.invalidateQueries({ queryKey: [key] }))),
  });
}
