import { QueryTypes, type Sequelize } from 'sequelize'
import { SequelizeStorage, Umzug } from 'umzug'

/** Plain SQL, since that is what a reviewer and a database administrator read. InnoDB and a primary key everywhere, so that a Galera cluster takes it. */
const MIGRATIONS: { name: string; up: string[] }[] = [
  {
    name: '001-shop-and-record',
    up: [
      'CREATE TABLE shops (id VARCHAR(48) PRIMARY KEY, name VARCHAR(120) NOT NULL)',
      'CREATE TABLE users (id VARCHAR(48) PRIMARY KEY, shop_id VARCHAR(48) NOT NULL, name VARCHAR(120) NOT NULL, sign_in VARCHAR(120) NOT NULL UNIQUE, password_hash VARCHAR(255) NOT NULL, CONSTRAINT users_shop FOREIGN KEY (shop_id) REFERENCES shops(id))',
      'CREATE TABLE clients (id VARCHAR(48) PRIMARY KEY, shop_id VARCHAR(48) NOT NULL, name VARCHAR(240) NOT NULL, country VARCHAR(240), contact VARCHAR(240), note VARCHAR(240), UNIQUE KEY client_name (shop_id, name(180)), CONSTRAINT clients_shop FOREIGN KEY (shop_id) REFERENCES shops(id))',
      'CREATE TABLE commissions (id VARCHAR(48) PRIMARY KEY, shop_id VARCHAR(48) NOT NULL, client_id VARCHAR(48), title VARCHAR(120) NOT NULL, job VARCHAR(20) NOT NULL, deadline DATE, shipped DATE, revision INT NOT NULL, record LONGTEXT NOT NULL CHECK (JSON_VALID(record)), saved_at DATETIME(3) NOT NULL, saved_by VARCHAR(120) NOT NULL, archived_at DATETIME(3), KEY commission_shop (shop_id, deadline), CONSTRAINT commissions_shop FOREIGN KEY (shop_id) REFERENCES shops(id), CONSTRAINT commissions_client FOREIGN KEY (client_id) REFERENCES clients(id))',
      'CREATE TABLE sabers (id VARCHAR(48), commission_id VARCHAR(48), position INT NOT NULL, name VARCHAR(240) NOT NULL, job VARCHAR(20) NOT NULL, length_mm DOUBLE, PRIMARY KEY (commission_id, id), CONSTRAINT sabers_of FOREIGN KEY (commission_id) REFERENCES commissions(id) ON DELETE CASCADE)',
      'CREATE TABLE requests (id VARCHAR(48), commission_id VARCHAR(48), text VARCHAR(240) NOT NULL, status VARCHAR(20) NOT NULL, PRIMARY KEY (commission_id, id), CONSTRAINT requests_of FOREIGN KEY (commission_id) REFERENCES commissions(id) ON DELETE CASCADE)',
      'CREATE TABLE fitted_parts (id VARCHAR(48), commission_id VARCHAR(48), saber_id VARCHAR(48) NOT NULL, kind VARCHAR(20) NOT NULL, name VARCHAR(240) NOT NULL, catalogue_id VARCHAR(48), lot VARCHAR(240), PRIMARY KEY (commission_id, id), KEY fitted_catalogue (catalogue_id), KEY fitted_lot (lot(60)), CONSTRAINT fitted_of FOREIGN KEY (commission_id) REFERENCES commissions(id) ON DELETE CASCADE)',
      'CREATE TABLE presets (id VARCHAR(48), commission_id VARCHAR(48), saber_id VARCHAR(48) NOT NULL, position INT NOT NULL, name VARCHAR(240) NOT NULL, font VARCHAR(240) NOT NULL, colour CHAR(7) NOT NULL, PRIMARY KEY (commission_id, id), CONSTRAINT presets_of FOREIGN KEY (commission_id) REFERENCES commissions(id) ON DELETE CASCADE)',
      'CREATE TABLE tests (id VARCHAR(48), commission_id VARCHAR(48), saber_id VARCHAR(48) NOT NULL, test_key VARCHAR(240) NOT NULL, what VARCHAR(240) NOT NULL, PRIMARY KEY (commission_id, id), CONSTRAINT tests_of FOREIGN KEY (commission_id) REFERENCES commissions(id) ON DELETE CASCADE)',
      'CREATE TABLE readings (id VARCHAR(48), commission_id VARCHAR(48), test_id VARCHAR(48) NOT NULL, at DATETIME(3) NOT NULL, value DOUBLE, text VARCHAR(240), pass BOOLEAN NOT NULL, `by` VARCHAR(240) NOT NULL, PRIMARY KEY (commission_id, id), CONSTRAINT readings_of FOREIGN KEY (commission_id) REFERENCES commissions(id) ON DELETE CASCADE)',
      'CREATE TABLE parts (id VARCHAR(48), shop_id VARCHAR(48), kind VARCHAR(20) NOT NULL, name VARCHAR(240) NOT NULL, specs LONGTEXT NOT NULL CHECK (JSON_VALID(specs)), protected BOOLEAN, stock INT, lot VARCHAR(240), supplier VARCHAR(240), cost DOUBLE, PRIMARY KEY (shop_id, id), CONSTRAINT parts_shop FOREIGN KEY (shop_id) REFERENCES shops(id))',
      'CREATE TABLE media (hash CHAR(64), shop_id VARCHAR(48), type VARCHAR(40) NOT NULL, bytes INT NOT NULL, created_at DATETIME(3) NOT NULL, PRIMARY KEY (shop_id, hash), CONSTRAINT media_shop FOREIGN KEY (shop_id) REFERENCES shops(id))',
      'CREATE TABLE handoffs (id VARCHAR(48) PRIMARY KEY, commission_id VARCHAR(48) NOT NULL, number INT NOT NULL, secret_hash CHAR(64) NOT NULL UNIQUE, revision INT NOT NULL, document LONGTEXT NOT NULL CHECK (JSON_VALID(document)), record LONGTEXT NOT NULL CHECK (JSON_VALID(record)), issued_at DATETIME(3) NOT NULL, issued_by VARCHAR(120) NOT NULL, revoked_at DATETIME(3), UNIQUE KEY handoff_number (commission_id, number), CONSTRAINT handoffs_of FOREIGN KEY (commission_id) REFERENCES commissions(id) ON DELETE CASCADE)',
      'CREATE TABLE history (id BIGINT AUTO_INCREMENT PRIMARY KEY, commission_id VARCHAR(48) NOT NULL, revision INT NOT NULL, user_id VARCHAR(48) NOT NULL, `by` VARCHAR(120) NOT NULL, at DATETIME(3) NOT NULL, ops LONGTEXT NOT NULL CHECK (JSON_VALID(ops)), UNIQUE KEY history_revision (commission_id, revision), CONSTRAINT history_of FOREIGN KEY (commission_id) REFERENCES commissions(id) ON DELETE CASCADE)',
      'CREATE TABLE sessions (sid VARCHAR(64) PRIMARY KEY, expires DATETIME, data TEXT, KEY session_expires (expires))',
      // History is append-only: the database itself refuses to rewrite it.
      "CREATE TRIGGER history_no_update BEFORE UPDATE ON history FOR EACH ROW SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'history is append-only'",
    ],
  },
  {
    name: '002-what-a-part-is',
    up: [
      'ALTER TABLE parts ADD COLUMN IF NOT EXISTS material VARCHAR(20), ADD COLUMN IF NOT EXISTS converter BOOLEAN, ADD COLUMN IF NOT EXISTS turns VARCHAR(240)',
    ],
  },
]

/** Brings the database to the newest schema; does nothing when it is there. Returns the names applied. */
export async function migrate(sequelize: Sequelize): Promise<string[]> {
  const umzug = new Umzug({
    migrations: MIGRATIONS.map((m) => ({
      name: m.name,
      up: async () => {
        for (const sql of m.up) await sequelize.query(sql)
      },
    })),
    storage: new SequelizeStorage({ sequelize, modelName: 'migrations' }),
    logger: undefined,
  })
  return (await umzug.up()).map((m) => m.name)
}

/** Empties the database: every table goes, then the schema is made again. */
export async function wipe(sequelize: Sequelize): Promise<void> {
  await sequelize.transaction(async (transaction) => {
    await sequelize.query('SET FOREIGN_KEY_CHECKS = 0', { transaction })
    const rows = await sequelize.query<{ t: string }>(
      'SELECT table_name AS t FROM information_schema.tables WHERE table_schema = DATABASE()',
      { transaction, type: QueryTypes.SELECT },
    )
    for (const r of rows) await sequelize.query(`DROP TABLE \`${r.t}\``, { transaction })
    await sequelize.query('SET FOREIGN_KEY_CHECKS = 1', { transaction })
  })
  await migrate(sequelize)
}
