-- The studio's own names for moves, and moves of its own. Moves are retired, never removed: timelines refer to them.
create table studio_name (
    name text primary key check (length(name) between 2 and 60),
    move_id text not null,
    added_by uuid references account (id) on delete set null,
    added_at timestamptz not null default now()
);

create table studio_move (
    id text primary key,
    name text not null unique check (length(name) between 2 and 60),
    like_id text not null,
    aliases text[] not null default '{}',
    impact text not null check (impact in ('none', 'low', 'moderate', 'high')),
    sides text not null check (sides in ('both', 'alternating', 'each')),
    kit text[] not null default '{}',
    retired boolean not null default false,
    added_by uuid references account (id) on delete set null,
    added_at timestamptz not null default now()
);

-- Every web node keeps the lexicon in memory too.
create function tell_lexicon() returns trigger language plpgsql as $$
begin
    perform pg_notify('catalogue', 'lexicon');
    return null;
end $$;

create trigger studio_name_tell after insert or update or delete on studio_name for each statement execute function tell_lexicon();
create trigger studio_move_tell after insert or update on studio_move for each statement execute function tell_lexicon();
