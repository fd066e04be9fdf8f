-- A class may be one of several.
alter table session add column series text check (length(series) between 1 and 80);

-- Every change that members can see takes the next number, so that a web node can ask for what it has not seen.
create sequence catalogue_clock;
alter table session add column touched bigint not null default nextval('catalogue_clock');
create index session_touched on session (touched);

create function touch_session() returns trigger language plpgsql as $$
begin
    new.touched = nextval('catalogue_clock');
    return new;
end $$;

create trigger session_touch before update of published_version, title, coach, series, recorded_on, stated_minutes on session
    for each row execute function touch_session();

drop trigger session_published_tell on session;
create trigger session_published_tell after insert or update of published_version, title, coach, series, recorded_on, stated_minutes on session
    for each row execute function tell_catalogue();

-- What the catalogue keeps of a published timeline, worked out from it. It can be thrown away at any time: a web node makes anew what is missing
-- or was made with other settings.
create table session_listing (
    session_id uuid primary key references session (id) on delete cascade,
    version integer not null,
    made_with text not null,
    listing jsonb not null
);

alter table member_profile
    add column days integer[] not null default '{}',
    add column goals text[] not null default '{}',
    add column loads jsonb not null default '{}',
    add column max_space text check (max_space in ('mat', 'stepeachway', 'travel')),
    add column max_noise text check (max_noise in ('quiet', 'light', 'thumping')),
    add column liked_moves text[] not null default '{}',
    add column disliked_moves text[] not null default '{}',
    add column liked_coaches text[] not null default '{}',
    add column disliked_coaches text[] not null default '{}',
    add column mass double precision check (mass between 30 and 250),
    add column age integer check (age between 13 and 110),
    add column resting_rate integer check (resting_rate between 30 and 120);
update member_profile set goals = array[goal] where goal is not null;
alter table member_profile drop column goal;

-- A member's log. The title is kept for when the session leaves the library. Health data: only the member's own pages read it.
create table done_session (
    id uuid primary key,
    account_id uuid not null references account (id) on delete cascade,
    session_id uuid references session (id) on delete set null,
    title text not null,
    done_at timestamptz not null,
    pace text not null check (pace in ('ease', 'led', 'push')),
    effort integer check (effort between 0 and 10),
    pain text not null default '' check (length(pain) <= 200),
    note text not null default '' check (length(note) <= 500),
    loads jsonb not null default '{}'
);

create index done_session_newest on done_session (account_id, done_at desc);

create table member_signal (
    account_id uuid not null references account (id) on delete cascade,
    session_id uuid not null references session (id) on delete cascade,
    kind text not null check (kind in ('not today', 'more like this')),
    said_at timestamptz not null default now(),
    primary key (account_id, session_id, kind)
);

create table saved_search (
    id uuid primary key,
    account_id uuid not null references account (id) on delete cascade,
    name text not null check (length(name) between 1 and 60),
    query text not null check (length(query) <= 2000),
    saved_at timestamptz not null default now(),
    unique (account_id, name)
);
