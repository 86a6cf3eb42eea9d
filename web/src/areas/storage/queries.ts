import { routes, type MoveItem, type Places, type Stay } from '@bright-keeper/contract';
import { useMutation, useQuery } from '@tanstack/react-query';
import { gearChanged } from '../../api/client';
import { http } from '../../api/http';
import { keys } from '../../api/keys';

export const usePlaces = () => useQuery({ queryKey: keys.places, queryFn: () => http.get<Places>(routes.places) });

export const useMoveItem = (itemId: string) =>
  useMutation({
    mutationFn: (move: MoveItem) => http.put<Stay[]>(routes.itemPlace(itemId), move),
    onSettled: () => gearChanged(itemId),
  });
