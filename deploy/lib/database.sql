-- The application's role owns its database and nothing else; it may see how far behind the standby is.
SELECT format('CREATE ROLE jolly LOGIN NOSUPERUSER NOCREATEDB NOCREATEROLE PASSWORD %L', :'pw')
  WHERE NOT EXISTS (SELECT FROM pg_roles WHERE rolname = 'jolly') \gexec
GRANT pg_read_all_stats TO jolly;
SELECT 'CREATE DATABASE jolly OWNER jolly' WHERE NOT EXISTS (SELECT FROM pg_database WHERE datname = 'jolly') \gexec
REVOKE ALL ON DATABASE jolly FROM PUBLIC;
