import { openDatabase } from '../database/open-database.ts';
import { migrate } from '../database/migrate.ts';

// Migrates a file, statement by statement, and is killed before the one of a number.
const [file = '', folder = '', dies = ''] = process.argv.slice(2);
const database = await openDatabase(file);
let done = 0;
await migrate(
  database.sequelize,
  file,
  async (connection, sql) => {
    for (const statement of sql.split(/;\n?/).filter((one) => one.trim() !== '')) {
      if (done === Number(dies)) process.kill(process.pid, 'SIGKILL');
      done += 1;
      await new Promise<void>((resolve, reject) =>
        connection.exec(`${statement};`, (error) => (error ? reject(error) : resolve())),
      );
    }
  },
  folder,
);
await database.close();
process.send?.(done);
