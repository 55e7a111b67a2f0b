import { QueryTypes, type Sequelize } from 'sequelize'
import { SequelizeStorage, Umzug } from 'umzug'

/**
 * Plain SQL, since that is what a reviewer and a database administrator read. InnoDB and a primary key everywhere, so that a
 * Galera cluster takes it. Each statement may be run again: the database does not take half a migration back.
 */
const MIGRATIONS: { name: string; up: string[] }[] = [
  {
    name: '001-shop-and-record',
    up: [
      'CREATE TABLE IF NOT EXISTS shops (id VARCHAR(48) PRIMARY KEY, name VARCHAR(120) NOT NULL)',
      'CREATE TABLE IF NOT EXISTS users (id VARCHAR(48) PRIMARY KEY, shop_id VARCHAR(48) NOT NULL, name VARCHAR(120) NOT NULL, sign_in VARCHAR(120) NOT NULL UNIQUE, password_hash VARCHAR(255) NOT NULL, CONSTRAINT users_shop FOREIGN KEY (shop_id) REFERENCES shops(id))',
      'CREATE TABLE IF NOT EXISTS clients (id VARCHAR(48) PRIMARY KEY, shop_id VARCHAR(48) NOT NULL, name VARCHAR(240) NOT NULL, country VARCHAR(240), contact VARCHAR(240), note VARCHAR(240), UNIQUE KEY client_name (shop_id, name(180)), CONSTRAINT clients_shop FOREIGN KEY (shop_id) REFERENCES shops(id))',
      'CREATE TABLE IF NOT EXISTS commissions (id VARCHAR(48) PRIMARY KEY, shop_id VARCHAR(48) NOT NULL, client_id VARCHAR(48), title VARCHAR(120) NOT NULL, job VARCHAR(20) NOT NULL, deadline DATE, shipped DATE, revision INT NOT NULL, record LONGTEXT NOT NULL CHECK (JSON_VALID(record)), saved_at DATETIME(3) NOT NULL, saved_by VARCHAR(120) NOT NULL, archived_at DATETIME(3), KEY commission_shop (shop_id, deadline), CONSTRAINT commissions_shop FOREIGN KEY (shop_id) REFERENCES shops(id), CONSTRAINT commissions_client FOREIGN KEY (client_id) REFERENCES clients(id))',
      'CREATE TABLE IF NOT EXISTS sabers (id VARCHAR(48), commission_id VARCHAR(48), position INT NOT NULL, name VARCHAR(240) NOT NULL, job VARCHAR(20) NOT NULL, length_mm DOUBLE, PRIMARY KEY (commission_id, id), CONSTRAINT sabers_of FOREIGN KEY (commission_id) REFERENCES commissions(id) ON DELETE CASCADE)',
      'CREATE TABLE IF NOT EXISTS requests (id VARCHAR(48), commission_id VARCHAR(48), text VARCHAR(240) NOT NULL, status VARCHAR(20) NOT NULL, PRIMARY KEY (commission_id, id), CONSTRAINT requests_of FOREIGN KEY (commission_id) REFERENCES commissions(id) ON DELETE CASCADE)',
      'CREATE TABLE IF NOT EXISTS fitted_parts (id VARCHAR(48), commission_id VARCHAR(48), saber_id VARCHAR(48) NOT NULL, kind VARCHAR(20) NOT NULL, name VARCHAR(240) NOT NULL, catalogue_id VARCHAR(48), lot VARCHAR(240), PRIMARY KEY (commission_id, id), KEY fitted_catalogue (catalogue_id), KEY fitted_lot (lot(60)), CONSTRAINT fitted_of FOREIGN KEY (commission_id) REFERENCES commissions(id) ON DELETE CASCADE)',
      'CREATE TABLE IF NOT EXISTS presets (id VARCHAR(48), commission_id VARCHAR(48), saber_id VARCHAR(48) NOT NULL, position INT NOT NULL, name VARCHAR(240) NOT NULL, font VARCHAR(240) NOT NULL, colour CHAR(7) NOT NULL, PRIMARY KEY (commission_id, id), CONSTRAINT presets_of FOREIGN KEY (commission_id) REFERENCES commissions(id) ON DELETE CASCADE)',
      'CREATE TABLE IF NOT EXISTS tests (id VARCHAR(48), commission_id VARCHAR(48), saber_id VARCHAR(48) NOT NULL, test_key VARCHAR(240) NOT NULL, what VARCHAR(240) NOT NULL, PRIMARY KEY (commission_id, id), CONSTRAINT tests_of FOREIGN KEY (commission_id) REFERENCES commissions(id) ON DELETE CASCADE)',
      'CREATE TABLE IF NOT EXISTS readings (id VARCHAR(48), commission_id VARCHAR(48), test_id VARCHAR(48) NOT NULL, at DATETIME(3) NOT NULL, value DOUBLE, text VARCHAR(240), pass BOOLEAN NOT NULL, `by` VARCHAR(240) NOT NULL, PRIMARY KEY (commission_id, id), CONSTRAINT readings_of FOREIGN KEY (commission_id) REFERENCES commissions(id) ON DELETE CASCADE)',
      'CREATE TABLE IF NOT EXISTS parts (id VARCHAR(48), shop_id VARCHAR(48), kind VARCHAR(20) NOT NULL, name VARCHAR(240) NOT NULL, specs LONGTEXT NOT NULL CHECK (JSON_VALID(specs)), protected BOOLEAN, stock INT, lot VARCHAR(240), supplier VARCHAR(240), cost DOUBLE, PRIMARY KEY (shop_id, id), CONSTRAINT parts_shop FOREIGN KEY (shop_id) REFERENCES shops(id))',
      'CREATE TABLE IF NOT EXISTS media (hash CHAR(64), shop_id VARCHAR(48), type VARCHAR(40) NOT NULL, bytes INT NOT NULL, created_at DATETIME(3) NOT NULL, PRIMARY KEY (shop_id, hash), CONSTRAINT media_shop FOREIGN KEY (shop_id) REFERENCES shops(id))',
      'CREATE TABLE IF NOT EXISTS handoffs (id VARCHAR(48) PRIMARY KEY, commission_id VARCHAR(48) NOT NULL, number INT NOT NULL, secret_hash CHAR(64) NOT NULL UNIQUE, revision INT NOT NULL, document LONGTEXT NOT NULL CHECK (JSON_VALID(document)), record LONGTEXT NOT NULL CHECK (JSON_VALID(record)), issued_at DATETIME(3) NOT NULL, issued_by VARCHAR(120) NOT NULL, revoked_at DATETIME(3), UNIQUE KEY handoff_number (commission_id, number), CONSTRAINT handoffs_of FOREIGN KEY (commission_id) REFERENCES commissions(id) ON DELETE CASCADE)',
      'CREATE TABLE IF NOT EXISTS history (id BIGINT AUTO_INCREMENT PRIMARY KEY, commission_id VARCHAR(48) NOT NULL, revision INT NOT NULL, user_id VARCHAR(48) NOT NULL, `by` VARCHAR(120) NOT NULL, at DATETIME(3) NOT NULL, ops LONGTEXT NOT NULL CHECK (JSON_VALID(ops)), UNIQUE KEY history_revision (commission_id, revision), CONSTRAINT history_of FOREIGN KEY (commission_id) REFERENCES commissions(id) ON DELETE CASCADE)',
      'CREATE TABLE IF NOT EXISTS sessions (sid VARCHAR(64) PRIMARY KEY, expires DATETIME, data TEXT, KEY session_expires (expires))',
    ],
  },
  {
    name: '002-what-a-part-is',
    up: [
      'ALTER TABLE parts ADD COLUMN IF NOT EXISTS material VARCHAR(20), ADD COLUMN IF NOT EXISTS converter BOOLEAN, ADD COLUMN IF NOT EXISTS turns VARCHAR(240)',
    ],
  },
  {
    name: '003-a-shop-of-many',
    up: [
      // What hangs on the rack is kept with the commission; it is judged anew when the record, the day or the rules change.
      "ALTER TABLE commissions ADD COLUMN IF NOT EXISTS peg LONGTEXT CHECK (JSON_VALID(peg)), ADD COLUMN IF NOT EXISTS peg_revision INT, ADD COLUMN IF NOT EXISTS peg_on DATE, ADD COLUMN IF NOT EXISTS peg_rules VARCHAR(40), ADD COLUMN IF NOT EXISTS search MEDIUMTEXT, ADD COLUMN IF NOT EXISTS place VARCHAR(12) NOT NULL DEFAULT 'open', ADD COLUMN IF NOT EXISTS due DATE NOT NULL DEFAULT '9999-12-31'",
      "UPDATE commissions SET place = CASE WHEN archived_at IS NOT NULL THEN 'archived' WHEN job = 'model' THEN 'model' WHEN shipped IS NOT NULL THEN 'shipped' ELSE 'open' END, due = COALESCE(IF(shipped IS NULL, deadline, shipped), '9999-12-31')",
      'CREATE INDEX IF NOT EXISTS commission_place ON commissions (shop_id, place, due, id)',
      'CREATE INDEX IF NOT EXISTS commission_client ON commissions (client_id)',
      'CREATE FULLTEXT INDEX IF NOT EXISTS commission_search ON commissions (search)',
      'CREATE INDEX IF NOT EXISTS fitted_name ON fitted_parts (name(60))',
      // Two people may have one name; that they are one person is said by a person.
      'CREATE INDEX IF NOT EXISTS client_by_name ON clients (shop_id, name(120))',
      'ALTER TABLE clients DROP INDEX IF EXISTS client_name',
      'ALTER TABLE history ADD COLUMN IF NOT EXISTS change_id VARCHAR(64)',
      'CREATE UNIQUE INDEX IF NOT EXISTS history_change ON history (commission_id, change_id)',
      "ALTER TABLE users ADD COLUMN IF NOT EXISTS role VARCHAR(12) NOT NULL DEFAULT 'owner', ADD COLUMN IF NOT EXISTS left_at DATETIME(3), ADD COLUMN IF NOT EXISTS second_factor VARCHAR(80), ADD COLUMN IF NOT EXISTS factor_used BIGINT, ADD COLUMN IF NOT EXISTS must_change BOOLEAN NOT NULL DEFAULT FALSE",
      'ALTER TABLE sessions ADD COLUMN IF NOT EXISTS user_id VARCHAR(48), ADD COLUMN IF NOT EXISTS began DATETIME(3), ADD COLUMN IF NOT EXISTS seen DATETIME(3), ADD COLUMN IF NOT EXISTS agent VARCHAR(200)',
      'CREATE INDEX IF NOT EXISTS session_user ON sessions (user_id)',
      'CREATE TABLE IF NOT EXISTS invitations (id VARCHAR(48) PRIMARY KEY, shop_id VARCHAR(48) NOT NULL, secret_hash CHAR(64) NOT NULL UNIQUE, name VARCHAR(120) NOT NULL, role VARCHAR(12) NOT NULL, user_id VARCHAR(48), made_by VARCHAR(120) NOT NULL, expires_at DATETIME(3) NOT NULL, used_at DATETIME(3), KEY invitation_shop (shop_id), CONSTRAINT invitations_shop FOREIGN KEY (shop_id) REFERENCES shops(id))',
      'CREATE TABLE IF NOT EXISTS upload_links (id VARCHAR(48) PRIMARY KEY, shop_id VARCHAR(48) NOT NULL, commission_id VARCHAR(48) NOT NULL, secret_hash CHAR(64) NOT NULL UNIQUE, place VARCHAR(80), made_by VARCHAR(48) NOT NULL, expires_at DATETIME(3) NOT NULL, used_at DATETIME(3), CONSTRAINT upload_links_of FOREIGN KEY (commission_id) REFERENCES commissions(id) ON DELETE CASCADE)',
      'CREATE TABLE IF NOT EXISTS media_uses (id CHAR(64), commission_id VARCHAR(48), PRIMARY KEY (commission_id, id), KEY media_use (id), CONSTRAINT media_uses_of FOREIGN KEY (commission_id) REFERENCES commissions(id) ON DELETE CASCADE)',
      'ALTER TABLE handoffs ADD COLUMN IF NOT EXISTS expires_at DATETIME(3)',
      'ALTER TABLE shops ADD COLUMN IF NOT EXISTS settings LONGTEXT CHECK (JSON_VALID(settings))',
      'CREATE TABLE IF NOT EXISTS erasures (id VARCHAR(48) PRIMARY KEY, shop_id VARCHAR(48) NOT NULL, commission_ids LONGTEXT NOT NULL CHECK (JSON_VALID(commission_ids)), at DATETIME(3) NOT NULL, `by` VARCHAR(120) NOT NULL, why VARCHAR(300) NOT NULL, CONSTRAINT erasures_shop FOREIGN KEY (shop_id) REFERENCES shops(id))',
    ],
  },
  {
    name: '004-words-one-space-apart',
    up: [
      // So that the beginning of a word is found without the index of words, too. Accents go as each commission is judged anew.
      "UPDATE commissions SET search = CONCAT(' ', LOWER(REGEXP_REPLACE(search, '[^\\\\p{L}\\\\p{N}]+', ' '))) WHERE search IS NOT NULL",
    ],
  },
  {
    name: '005-work-of-the-whole-shop',
    up: [
      'CREATE TABLE IF NOT EXISTS to_dos (id VARCHAR(48), commission_id VARCHAR(48), text VARCHAR(240) NOT NULL, about VARCHAR(240), who VARCHAR(12) NOT NULL, person VARCHAR(240), due DATE, blocks VARCHAR(12), done BOOLEAN NOT NULL, PRIMARY KEY (commission_id, id), KEY to_do_left (done, due), CONSTRAINT to_dos_of FOREIGN KEY (commission_id) REFERENCES commissions(id) ON DELETE CASCADE)',
      // What is there already; the name of the thing it is about comes with the next save.
      "INSERT IGNORE INTO to_dos (id, commission_id, text, who, person, due, blocks, done) SELECT j.id, c.id, j.text, j.who, j.person, j.due, j.blocks, j.done FROM commissions c, JSON_TABLE(c.record, '$.toDos[*]' COLUMNS (id VARCHAR(48) PATH '$.id', text VARCHAR(240) PATH '$.text', who VARCHAR(12) PATH '$.who', person VARCHAR(240) PATH '$.person', due DATE PATH '$.due', blocks VARCHAR(12) PATH '$.blocks', done BOOLEAN PATH '$.done')) j WHERE c.archived_at IS NULL",
    ],
  },
  {
    name: '006-who-stands-behind-a-link',
    up: [
      'ALTER TABLE invitations ADD COLUMN IF NOT EXISTS made_by_id VARCHAR(48)',
      // By name, where the shop has one of that name.
      'UPDATE invitations i JOIN (SELECT shop_id, name, MIN(id) AS id FROM users GROUP BY shop_id, name HAVING COUNT(*) = 1) u ON u.shop_id = i.shop_id AND u.name = i.made_by SET i.made_by_id = u.id WHERE i.made_by_id IS NULL',
      "ALTER TABLE users ADD COLUMN IF NOT EXISTS sign_in_key VARCHAR(240) NOT NULL DEFAULT ''",
      'CREATE INDEX IF NOT EXISTS user_sign_in_key ON users (sign_in_key)',
      'CREATE TABLE IF NOT EXISTS devices (id CHAR(64) PRIMARY KEY, user_id VARCHAR(48) NOT NULL, seen DATETIME(3) NOT NULL, KEY device_user (user_id), CONSTRAINT devices_of FOREIGN KEY (user_id) REFERENCES users(id) ON DELETE CASCADE)',
    ],
  },
  {
    name: '007-whose-files',
    up: [
      // Every file that a commission has or had: what is erased with it.
      'CREATE TABLE IF NOT EXISTS media_owners (shop_id VARCHAR(48), hash CHAR(64), commission_id VARCHAR(48), PRIMARY KEY (commission_id, hash), KEY media_owner (shop_id, hash), CONSTRAINT media_owners_of FOREIGN KEY (commission_id) REFERENCES commissions(id) ON DELETE CASCADE)',
      'INSERT IGNORE INTO media_owners (shop_id, hash, commission_id) SELECT c.shop_id, u.id, u.commission_id FROM media_uses u JOIN commissions c ON c.id = u.commission_id',
      // What was taken out of a record before stands in its history.
      "INSERT IGNORE INTO media_owners (shop_id, hash, commission_id) SELECT m.shop_id, m.hash, h.commission_id FROM media m JOIN history h ON h.ops LIKE CONCAT('%', m.hash, '%') JOIN commissions c ON c.id = h.commission_id AND c.shop_id = m.shop_id WHERE NOT EXISTS (SELECT 1 FROM media_owners o WHERE o.shop_id = m.shop_id AND o.hash = m.hash)",
      'ALTER TABLE commissions ADD COLUMN IF NOT EXISTS erased_at DATETIME(3)',
      'UPDATE commissions c JOIN erasures e ON e.shop_id = c.shop_id AND JSON_CONTAINS(e.commission_ids, JSON_QUOTE(c.id)) SET c.erased_at = e.at WHERE c.erased_at IS NULL',
    ],
  },
  {
    name: '008-names-of-figures',
    up: [
      // The shelf's figures by the names that the record has for them since version 13.
      `UPDATE parts SET specs = REPLACE(REPLACE(specs, '"maxRms":', '"maxOutputVoltsRms":'), '"cardBytes":', '"cardMegabytes":')`,
    ],
  },
  {
    name: '009-fonts',
    up: [
      'CREATE TABLE IF NOT EXISTS fonts (id VARCHAR(48), shop_id VARCHAR(48), name VARCHAR(240) NOT NULL, font LONGTEXT NOT NULL, changed_at DATETIME(3) NOT NULL, PRIMARY KEY (shop_id, id), CONSTRAINT fonts_of FOREIGN KEY (shop_id) REFERENCES shops(id) ON DELETE CASCADE)',
      // The files that the library holds, whatever becomes of the orders they came with.
      'CREATE TABLE IF NOT EXISTS font_media (shop_id VARCHAR(48), font_id VARCHAR(48), hash CHAR(64), PRIMARY KEY (shop_id, font_id, hash), KEY font_media_by (shop_id, hash), CONSTRAINT font_media_of FOREIGN KEY (shop_id, font_id) REFERENCES fonts(shop_id, id) ON DELETE CASCADE)',
      // In which orders a font of the library lies.
      'CREATE TABLE IF NOT EXISTS font_uses (id VARCHAR(48), commission_id VARCHAR(48), PRIMARY KEY (commission_id, id), KEY font_uses_by (id), CONSTRAINT font_uses_of FOREIGN KEY (commission_id) REFERENCES commissions(id) ON DELETE CASCADE)',
      'ALTER TABLE shops ADD COLUMN IF NOT EXISTS sound_rules LONGTEXT',
    ],
  },
  {
    name: '010-work-and-orders',
    up: [
      // What is to be done on an open commission, worked out anew with its peg.
      'ALTER TABLE commissions ADD COLUMN IF NOT EXISTS work LONGTEXT CHECK (JSON_VALID(work))',
      'UPDATE commissions SET peg_revision = NULL',
      // What a record teaches, and at which revision and by which program it was looked through.
      'ALTER TABLE commissions ADD COLUMN IF NOT EXISTS learned LONGTEXT CHECK (JSON_VALID(learned)), ADD COLUMN IF NOT EXISTS learned_at VARCHAR(60)',
      'ALTER TABLE clients ADD COLUMN IF NOT EXISTS habits VARCHAR(600)',
      'ALTER TABLE users ADD COLUMN IF NOT EXISTS works LONGTEXT CHECK (JSON_VALID(works))',
      'ALTER TABLE shops ADD COLUMN IF NOT EXISTS turn LONGTEXT CHECK (JSON_VALID(turn))',
      'ALTER TABLE fitted_parts ADD COLUMN IF NOT EXISTS reserved_on DATE, ADD COLUMN IF NOT EXISTS fitted_on DATE, ADD COLUMN IF NOT EXISTS supplied VARCHAR(12)',
      'CREATE TABLE IF NOT EXISTS timers (user_id VARCHAR(48) PRIMARY KEY, id VARCHAR(48) NOT NULL, commission_id VARCHAR(48) NOT NULL, work VARCHAR(12), saber VARCHAR(48), to_do VARCHAR(48), began DATETIME(3) NOT NULL, CONSTRAINT timers_user FOREIGN KEY (user_id) REFERENCES users(id) ON DELETE CASCADE, CONSTRAINT timers_of FOREIGN KEY (commission_id) REFERENCES commissions(id) ON DELETE CASCADE)',
      'CREATE TABLE IF NOT EXISTS hours (id VARCHAR(48), commission_id VARCHAR(48), saber_id VARCHAR(48), work VARCHAR(12), to_do VARCHAR(48), `by` VARCHAR(240), on_day DATE NOT NULL, hours DOUBLE NOT NULL, PRIMARY KEY (commission_id, id), CONSTRAINT hours_of FOREIGN KEY (commission_id) REFERENCES commissions(id) ON DELETE CASCADE)',
      'CREATE TABLE IF NOT EXISTS questions (id VARCHAR(48), commission_id VARCHAR(48), text VARCHAR(240) NOT NULL, asked_by VARCHAR(12), asked_on DATE, answered_on DATE, PRIMARY KEY (commission_id, id), CONSTRAINT questions_of FOREIGN KEY (commission_id) REFERENCES commissions(id) ON DELETE CASCADE)',
      "INSERT IGNORE INTO questions (id, commission_id, text, asked_by, asked_on, answered_on) SELECT j.id, c.id, j.text, j.asked_by, j.asked_on, j.answered_on FROM commissions c, JSON_TABLE(c.record, '$.questions[*]' COLUMNS (id VARCHAR(48) PATH '$.id', text VARCHAR(240) PATH '$.text', asked_by VARCHAR(12) PATH '$.askedBy', asked_on DATE PATH '$.askedOn', answered_on DATE PATH '$.answeredOn')) j WHERE c.archived_at IS NULL",
      'CREATE TABLE IF NOT EXISTS order_lines (id VARCHAR(48), shop_id VARCHAR(48), catalogue_id VARCHAR(48), name VARCHAR(240) NOT NULL, supplier VARCHAR(240) NOT NULL, quantity INT NOT NULL, commission_id VARCHAR(48), part_id VARCHAR(48), ordered_on DATE NOT NULL, expected_on DATE, arrived_on DATE, lot VARCHAR(240), fault VARCHAR(12), note VARCHAR(400), `by` VARCHAR(120) NOT NULL, PRIMARY KEY (shop_id, id), KEY order_line_open (shop_id, arrived_on), KEY order_line_of (commission_id), CONSTRAINT order_lines_shop FOREIGN KEY (shop_id) REFERENCES shops(id) ON DELETE CASCADE, CONSTRAINT order_lines_of FOREIGN KEY (commission_id) REFERENCES commissions(id) ON DELETE SET NULL)',
      'CREATE TABLE IF NOT EXISTS letters (id VARCHAR(48), commission_id VARCHAR(48), kind VARCHAR(12) NOT NULL, subject VARCHAR(200) NOT NULL, text MEDIUMTEXT NOT NULL, to_address VARCHAR(240) NOT NULL, rests LONGTEXT NOT NULL CHECK (JSON_VALID(rests)), at DATETIME(3) NOT NULL, `by` VARCHAR(120) NOT NULL, PRIMARY KEY (commission_id, id), CONSTRAINT letters_of FOREIGN KEY (commission_id) REFERENCES commissions(id) ON DELETE CASCADE)',
      'CREATE TABLE IF NOT EXISTS quotes (commission_id VARCHAR(48), number INT, quote LONGTEXT NOT NULL CHECK (JSON_VALID(quote)), revision INT NOT NULL, saved_at DATETIME(3) NOT NULL, saved_by VARCHAR(120) NOT NULL, PRIMARY KEY (commission_id, number), CONSTRAINT quotes_of FOREIGN KEY (commission_id) REFERENCES commissions(id) ON DELETE CASCADE)',
    ],
  },
]

/**
 * What guards history, made anew at each start, so that a restored or moved database has it too: rows are neither changed nor
 * deleted, but by the one procedure that erases for good, which has its maker's rights and not its caller's.
 */
const GUARDS = [
  "CREATE OR REPLACE TRIGGER history_no_delete BEFORE DELETE ON history FOR EACH ROW BEGIN IF @nubrin_erasing IS NULL OR @nubrin_erasing <> OLD.commission_id THEN SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'history is append-only'; END IF; END",
  "CREATE OR REPLACE TRIGGER history_no_update BEFORE UPDATE ON history FOR EACH ROW BEGIN IF @nubrin_erasing IS NULL OR @nubrin_erasing <> OLD.commission_id THEN SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'history is append-only'; END IF; END",
  "CREATE OR REPLACE PROCEDURE erase_commission(IN which VARCHAR(48), IN blank LONGTEXT, IN title_left VARCHAR(120), IN erased_when DATETIME(3)) SQL SECURITY DEFINER BEGIN SET @nubrin_erasing = which; UPDATE history SET ops = '[]', change_id = NULL WHERE commission_id = which; UPDATE handoffs SET document = '{}', record = '{}', revoked_at = COALESCE(revoked_at, erased_when) WHERE commission_id = which; UPDATE commissions SET record = blank, title = title_left, client_id = NULL, search = '', peg = NULL, peg_revision = NULL, work = NULL, learned = NULL, learned_at = NULL, erased_at = erased_when WHERE id = which; SET @nubrin_erasing = NULL; END",
]

/** What the program may do with each table when it has a user of its own: history it may only read and lengthen. */
const MAY: Record<string, string> = {
  shops: 'SELECT, INSERT, UPDATE',
  users: 'SELECT, INSERT, UPDATE',
  clients: 'SELECT, INSERT, UPDATE, DELETE',
  commissions: 'SELECT, INSERT, UPDATE',
  sabers: 'SELECT, INSERT, UPDATE, DELETE',
  requests: 'SELECT, INSERT, UPDATE, DELETE',
  fitted_parts: 'SELECT, INSERT, UPDATE, DELETE',
  to_dos: 'SELECT, INSERT, UPDATE, DELETE',
  presets: 'SELECT, INSERT, UPDATE, DELETE',
  tests: 'SELECT, INSERT, UPDATE, DELETE',
  readings: 'SELECT, INSERT, UPDATE, DELETE',
  parts: 'SELECT, INSERT, UPDATE, DELETE',
  media: 'SELECT, INSERT, UPDATE, DELETE',
  media_uses: 'SELECT, INSERT, DELETE',
  media_owners: 'SELECT, INSERT, DELETE',
  fonts: 'SELECT, INSERT, UPDATE, DELETE',
  font_media: 'SELECT, INSERT, DELETE',
  font_uses: 'SELECT, INSERT, UPDATE, DELETE',
  handoffs: 'SELECT, INSERT, UPDATE',
  history: 'SELECT, INSERT',
  sessions: 'SELECT, INSERT, UPDATE, DELETE',
  invitations: 'SELECT, INSERT, UPDATE',
  upload_links: 'SELECT, INSERT, UPDATE',
  devices: 'SELECT, INSERT, UPDATE, DELETE',
  erasures: 'SELECT, INSERT',
  timers: 'SELECT, INSERT, UPDATE, DELETE',
  hours: 'SELECT, INSERT, UPDATE, DELETE',
  questions: 'SELECT, INSERT, UPDATE, DELETE',
  letters: 'SELECT, INSERT, DELETE',
  quotes: 'SELECT, INSERT, UPDATE, DELETE',
  order_lines: 'SELECT, INSERT, UPDATE, DELETE',
}

/** Gives the program's own user what it may, and nothing more. */
export async function allow(owner: Sequelize, user: string, host: string): Promise<void> {
  for (const [table, rights] of Object.entries(MAY))
    await owner.query(`GRANT ${rights} ON ${table} TO '${user}'@'${host}'`)
  await owner.query(`GRANT EXECUTE ON PROCEDURE erase_commission TO '${user}'@'${host}'`)
}

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
  const done = (await umzug.up()).map((m) => m.name)
  for (const sql of GUARDS) await sequelize.query(sql)
  return done
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
