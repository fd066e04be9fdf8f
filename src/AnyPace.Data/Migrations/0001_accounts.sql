create table account (
    id uuid primary key,
    name text not null,
    normalized_name text not null unique,
    display_name text not null,
    role text not null check (role in ('manager', 'cataloguer', 'member')),
    password_hash text not null,
    security_stamp text not null,
    lockout_end timestamptz,
    lockout_enabled boolean not null default true,
    access_failed_count integer not null default 0 check (access_failed_count >= 0),
    demo boolean not null default false,
    created_at timestamptz not null default now()
);

create table data_protection_key (
    id bigint generated always as identity primary key,
    friendly_name text not null,
    xml text not null,
    created_at timestamptz not null default now()
);

-- Who did what to which thing, and when. Rows are only ever added.
create table audit (
    id bigint generated always as identity primary key,
    at timestamptz not null default now(),
    account_id uuid references account (id) on delete set null,
    action text not null,
    subject text not null,
    detail jsonb not null default '{}'
);

create index audit_subject on audit (subject, at desc);
