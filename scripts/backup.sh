# Backups: a copy of the database that proves itself, and bringing one back beside what is there.

BACKUP_MARK="-- Ostendum backup"
PROOF="-- Ostendum: all of this has sha256"
SEALED="age-encryption.org/v1"

backup() {
  [ -n "${1:-}" ] || fail "say where to: ./ostendum backup FILE"
  local file started=
  file=$(of_caller "$1")
  mkdir -p "$VAR/log"
  alive "$VAR/db.pid" || { [ -d "$VAR/db" ] || fail "there is no database under $VAR yet"; start_database; started=yes; }
  if ! write_backup "$file"; then
    rm -f "$file.part"
    [ -z "$started" ] || end_process "$VAR/db.pid"
    fail "the backup failed; $file was not written. Is there room, and may you write there?"
  fi
  [ -z "$started" ] || end_process "$VAR/db.pid"
  say "backup written: $file ($(du -h "$file" | cut -f1))"
}

# For nobody else to read: it holds what people have read, and the hashes of their passwords.
write_backup() (
  umask 077
  proved_dump | gzip | seal >"$1.part" && mv "$1.part" "$1"
)

proved_dump() {
  local digest
  digest=$(mktemp)
  # A dump that broke off gets no proof, and fails the whole.
  { echo "$BACKUP_MARK" && dump; } | tee >(sha256sum | cut -c1-64 >"$digest") || return 1
  while [ ! -s "$digest" ]; do sleep 0.05; done
  echo "$PROOF $(cat "$digest")"
  rm -f "$digest"
}

# Without sessions: nobody is signed in on the machine that a backup comes back to.
dump() {
  mariadb-dump --no-defaults --socket="$SOCKET" --user="$(socket_user)" --single-transaction --triggers \
    --ignore-table-data="$DATABASE.SPRING_SESSION" --ignore-table-data="$DATABASE.SPRING_SESSION_ATTRIBUTES" "$DATABASE"
}

seal() {
  if [ -z "${OSTENDUM_BACKUP_TO:-}" ]; then cat; else needs_age; age --encrypt --recipient "$OSTENDUM_BACKUP_TO"; fi
}

needs_age() { command -v age >/dev/null || fail "a sealed backup needs age: apt-get install age"; }

# The text of a backup, whatever it is wrapped in.
open_backup() {
  if [ "$(head -c ${#SEALED} "$1" | tr -d '\0')" = "$SEALED" ]; then
    needs_age
    [ -n "${OSTENDUM_BACKUP_IDENTITY:-}" ] || fail "$1 is sealed; say with which key to open it: OSTENDUM_BACKUP_IDENTITY=FILE ./ostendum restore …"
    age --decrypt --identity "$OSTENDUM_BACKUP_IDENTITY" "$1" | gzip -dc
  else
    gzip -dc "$1"
  fi
}

is_backup() {
  local beginning
  beginning=$(open_backup "$1" 2>/dev/null | head -c 4000 | tr -d '\0' || true)
  [[ $beginning == "$BACKUP_MARK"* ]]
}

# Read to its end before anything is touched: one that is cut short, or was changed, shows here.
proves_itself() {
  local last
  last=$(mktemp)
  open_backup "$1" 2>/dev/null | tee >(tail -n 1 >"$last") | head -n -1 | sha256sum | cut -c1-64 >"$last.digest" || return 1
  while [ ! -s "$last" ]; do sleep 0.05; done
  [ "$(cat "$last")" = "$PROOF $(cat "$last.digest")" ]
  local whole=$?
  rm -f "$last" "$last.digest"
  return $whole
}

# Each battery's lines are numbered without a gap.
is_whole() {
  [ "$(sql -N "$1" -e "select count(*) from information_schema.tables where table_schema = '$1' and table_name = 'ledger_entry'")" = 1 ] || return 0
  [ "$(sql -N "$1" -e "select count(*) from (select battery_id from ledger_entry group by battery_id having max(seq) <> count(*)) gaps")" = 0 ]
}

restore() {
  [ -n "${1:-}" ] || fail "say which: ./ostendum restore FILE, or back to what was here before: ./ostendum restore --back"
  ! alive "$VAR/app.pid" || fail "the application is running; ./ostendum stop first, so that nobody writes meanwhile"
  if [ "$1" = --back ]; then
    go_back
    return
  fi
  local file
  file=$(of_caller "$1")
  [ -f "$file" ] || fail "there is no file $file"
  is_backup "$file" || fail "$file is no backup of Ostendum"
  proves_itself "$file" || fail "$file is cut short or was changed; nothing here was touched. Take an older one"
  mkdir -p "$VAR/log"
  start_database
  bring_in "$file"
  end_process "$VAR/db.pid"
  say "restored from $file; ./ostendum start (or demo) goes on with it"
  say "what was here before lies beside it; ./ostendum restore --back returns to it"
}

bring_in() {
  local beside
  beside=ostendum_$(date +%Y%m%d_%H%M%S)_$$
  sql -e "create database $beside"
  if ! { open_backup "$1" | sql "$beside"; } 2>"$VAR/log/restore.log" || ! is_whole "$beside"; then
    sql -e "drop database $beside"
    end_process "$VAR/db.pid"
    fail "$1 could not be brought in, and nothing here was touched; see $VAR/log/restore.log"
  fi
  go_on_with "$beside"
}

# The name of the database in use is one file, so that changing it is one step.
go_on_with() {
  echo "$DATABASE" >"$VAR/database.before"
  echo "$1" >"$VAR/database.new"
  mv "$VAR/database.new" "$VAR/database"
  DATABASE=$1
}

go_back() {
  [ -f "$VAR/database.before" ] || fail "nothing was restored here, so there is nothing to go back to"
  go_on_with "$(cat "$VAR/database.before")"
  say "back to what was here before; the same command returns"
}
