import { routes, type ReportKeyTold } from '@bright-keeper/contract';
import type { record } from '@bright-keeper/core';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { http } from '../../api/http';
import { keys } from '../../api/keys';

/** What stood there while another part is chosen stays until the new one has come. */
export const useReport = (query: string) =>
  useQuery({
    queryKey: keys.report(query),
    queryFn: () => http.get<record.SignedReport>(routes.report(query)),
    placeholderData: keepPreviousData,
  });
export const useReportKey = () => useQuery({ queryKey: keys.reportKey, queryFn: () => http.get<ReportKeyTold>(routes.reportKey) });
