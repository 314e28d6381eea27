interface Start {
  host: string;
  port: number;
  databaseFile: string;
}

/** Why the application did not start, in a sentence that says what to do. */
export function plainReason(error: unknown, { host, port, databaseFile }: Start): string {
  const { code = '', message = String(error) } = (error ?? {}) as { code?: string; message?: string };
  if (code === 'EADDRINUSE') {
    return `Port ${port} on ${host} is in use, perhaps by Aftersquall itself. Close that, or set AFTERSQUALL_PORT to another port.`;
  }
  if (code === 'EACCES' && message.includes('listen')) {
    return `This user may not open port ${port}. Set AFTERSQUALL_PORT to one above 1023.`;
  }
  if (
    /^SQLITE_(NOTADB|CORRUPT|CANTOPEN|READONLY|IOERR)|^E(ACCES|PERM|ROFS|NOTDIR|EXIST)/.test(code) ||
    /^Sqlite|unable to open database/i.test(message)
  ) {
    return `Aftersquall cannot open the database ${databaseFile} (${message}). Put a good copy in its place, move it away to start with an empty one, or set AFTERSQUALL_DATABASE to another file.`;
  }
  if (/@libsql\//.test(message)) {
    return 'The database driver does not run on this machine. Run npm ci again. If that does not help, use another machine.';
  }
  return `Aftersquall could not start: ${message}`;
}
