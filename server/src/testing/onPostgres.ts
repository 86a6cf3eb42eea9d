import type { TestProject } from 'vitest/node';
import { openOnServer } from '../startup/index.js';
import { startCluster } from './postgresCluster.js';

declare module 'vitest' {
  interface ProvidedContext {
    /** Where the tests' PostgreSQL server listens, with `DATABASE` in the place of a database's name. */
    postgres: string;
  }
}

/** What every test's database is a copy of: an empty household in its present schema. */
export const TEMPLATE_DATABASE = 'template_household';

/** Starts a PostgreSQL server for a run of the tests. */
export default async function setup({ provide }: TestProject): Promise<() => void> {
  const cluster = startCluster();
  const { Client } = (await import('pg')).default;
  const client = new Client({ connectionString: cluster.urlOf('postgres') });
  await client.connect();
  await client.query(`create database ${TEMPLATE_DATABASE}`);
  await client.end();
  await (await openOnServer(cluster.urlOf(TEMPLATE_DATABASE))).close();
  provide('postgres', cluster.urlOf('DATABASE'));
  return () => cluster.stop();
}
