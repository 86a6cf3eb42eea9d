import { routes, type Today } from '@bright-keeper/contract';
import { useQuery } from '@tanstack/react-query';
import { http } from '../../api/http';
import { keys } from '../../api/keys';

export const useToday = () => useQuery({ queryKey: keys.today, queryFn: () => http.get<Today>(routes.today) });
