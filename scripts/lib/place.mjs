import { createHash } from "node:crypto";
import {
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  statSync,
  writeFileSync,
} from "node:fs";
import path from "node:path";
import { ask, isRoot } from "./command.mjs";
import { Stop, say } from "./say.mjs";

/*
 * Where a database's files are is written down in the data folder when they are made, and followed from then on. Nothing
 * is made where something is, nor instead of something that is only not to be reached.
 */

const ELSEWHERE = "/var/lib/tonodrome";

/** The user that PostgreSQL runs as when we are root, which it refuses to run as; nobody in particular otherwise. */
function unprivileged() {
  if (!isRoot) return {};
  for (const name of ["postgres", "nobody"]) {
    const [uid, gid] = [ask("id", ["-u", name]), ask("id", ["-g", name])];
    if (uid && gid) return { uid: Number(uid), gid: Number(gid) };
  }
  throw new Stop(
    "PostgreSQL may not run as root, and there is no other user to run it as.",
    "Start as an ordinary user.",
  );
}

/** What there is at a path: something, nothing, or something that cannot be told. */
function look(file) {
  try {
    return statSync(file);
  } catch (error) {
    if (error.code === "ENOENT" || error.code === "ENOTDIR") return null;
    throw new Stop(
      `${file} cannot be looked at (${error.code}).`,
      "Start as the user who owns it, or give this user the way there. Nothing was made or changed.",
    );
  }
}

const isMade = (dir) => look(path.join(dir, "PG_VERSION")) !== null;

/** Whether a user may go through a folder. */
const passes = (dir, as) => ask("test", ["-x", dir], { cwd: "/", ...as }) !== null;

/** The outermost folder on the way to one that a user cannot go through; null when there is none. */
function closedTo(dir, as) {
  const above = [];
  for (let at = dir; at !== path.dirname(at); at = path.dirname(at)) above.unshift(at);
  return above.find((folder) => !passes(folder, as)) ?? null;
}

function noteOf(home) {
  return path.join(home, "cluster-place");
}

/** Writes down where the files are: relative where they are within the data folder, so that it may be moved whole. */
export function notePlace(home, dir) {
  const within = path.relative(home, dir);
  const fresh = `${noteOf(home)}.new`;
  writeFileSync(fresh, `${within.startsWith("..") ? dir : within}\n`, { mode: 0o600 });
  renameSync(fresh, noteOf(home));
}

/** Where the files of a folder are whose note of it is gone. */
function unnoted(home) {
  const mark = createHash("sha256").update(home).digest("hex").slice(0, 12);
  const found = [path.join(home, "postgres"), path.join(ELSEWHERE, mark, "postgres")].filter(
    (dir) => look(dir) !== null && (isMade(dir) || readdirSync(dir).length > 0),
  );
  if (found.length > 1) {
    throw new Stop(
      `There are two databases for ${home}: ${found.join(" and ")}.`,
      `Write the one that is meant into ${noteOf(home)}, and keep the other until you know what is in it. Nothing was made or changed.`,
    );
  }
  return found[0] ?? null;
}

/**
 * Where the database's files of a data folder are, or are to be made, and the user who runs it.
 * @returns `{ dir, as, isNew }`
 * @throws Stop where they are not what or where they should be: then nothing was made
 */
export function placeOf(home) {
  const noted = look(noteOf(home)) ? readFileSync(noteOf(home), "utf8").trim() : null;
  const dir = noted ? path.resolve(home, noted) : unnoted(home);
  if (!dir) {
    if (look(path.join(home, "database-password"))) {
      throw new Stop(
        `${home} has a database's password and no database.`,
        "Put its files back, or move the data folder away to begin with an empty one. Nothing was made or changed.",
      );
    }
    return { ...newPlace(home), isNew: true };
  }
  if (!isMade(dir)) {
    throw new Stop(
      `The database's files should be in ${dir}, and are not.`,
      `Put them back, or, where they were moved on purpose, write the new place into ${noteOf(home)}. Nothing was made or changed.`,
    );
  }
  const as = ownerOf(dir);
  if (!noted) notePlace(home, dir);
  return { dir, as, isNew: false };
}

/** The user who owns the files is the one who runs them. @throws Stop when that cannot be */
function ownerOf(dir) {
  const { uid, gid, mode } = statSync(dir);
  const owner = `Its owner is the user of the number ${uid}.`;
  if (isRoot && uid === 0) {
    const { uid: other } = unprivileged();
    throw new Stop(
      `${dir} belongs to root, as whom PostgreSQL may not run.`,
      `Give it back: chown -R ${other} ${dir}`,
    );
  }
  if (!isRoot && uid !== process.getuid?.()) {
    throw new Stop(
      `${dir} belongs to another user. ${owner}`,
      "Start as that user, or give this one the folder.",
    );
  }
  if ((mode & 0o027) !== 0) {
    throw new Stop(
      `${dir} is open to others, which PostgreSQL does not run on.`,
      `Close it: chmod 700 ${dir}`,
    );
  }
  const as = isRoot ? { uid, gid } : {};
  const closed = isRoot ? closedTo(dir, as) : null;
  if (closed) {
    throw new Stop(
      `The database's files are in ${dir}, but their owner cannot get through ${closed}. ${owner}`,
      `Open the way: chmod o+x ${closed}`,
    );
  }
  return as;
}

/** Within the data folder, unless the user it will run as cannot get there, as in a folder of root's own. */
function newPlace(home) {
  const as = unprivileged();
  if (as.uid === undefined || !closedTo(home, as)) return { dir: path.join(home, "postgres"), as };
  const mark = createHash("sha256").update(home).digest("hex").slice(0, 12);
  const elsewhere = path.join(ELSEWHERE, mark);
  mkdirSync(elsewhere, { recursive: true, mode: 0o711 });
  if (existsSync(path.join(elsewhere, "postgres")))
    throw new Stop(
      `There is something at ${path.join(elsewhere, "postgres")}.`,
      "Move it away, or name another data folder.",
    );
  say(`(The database's user cannot reach ${home}; its files are in ${elsewhere}.)`);
  return { dir: path.join(elsewhere, "postgres"), as };
}
