create table session (
    id uuid primary key,
    title text not null check (length(title) between 1 and 120),
    coach text not null check (length(coach) between 1 and 80),
    recorded_on date not null,
    stated_minutes numeric(5, 1) check (stated_minutes > 0 and stated_minutes <= 600),
    caption_name text not null,
    caption_text text not null,
    published_version integer,
    published_at timestamptz,
    created_by uuid references account (id) on delete set null,
    created_at timestamptz not null default now()
);

-- Timelines are appended, never overwritten; publishing points at one.
create table timeline_version (
    session_id uuid not null references session (id) on delete cascade,
    number integer not null check (number >= 1),
    based_on integer,
    timeline jsonb not null,
    why text not null,
    made_by uuid references account (id) on delete set null,
    made_at timestamptz not null default now(),
    primary key (session_id, number)
);

alter table session add foreign key (id, published_version) references timeline_version (session_id, number)
    deferrable initially deferred;

create index session_newest on session (created_at desc);
create index session_published on session (published_at desc) where published_version is not null;

-- Every web node keeps the published catalogue in memory and hears of changes here.
create function tell_catalogue() returns trigger language plpgsql as $$
begin
    perform pg_notify('catalogue', new.id::text);
    return new;
end $$;

create trigger session_published_tell after insert or update of published_version, title, coach, recorded_on, stated_minutes on session
    for each row execute function tell_catalogue();
