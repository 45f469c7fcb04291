<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('desks', function (Blueprint $table): void {
            $table->foreignUuid('show_id')->primary()->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('revision')->default(0);
            $table->unsignedBigInteger('at_ms')->default(0);
            $table->jsonb('state');
        });

        Schema::create('as_run', function (Blueprint $table): void {
            $table->id();
            $table->foreignUuid('show_id')->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('revision');
            $table->string('command_id', 64);
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->unsignedBigInteger('at_ms');
            $table->string('type', 40);
            $table->jsonb('command');
            $table->jsonb('desk_command')->nullable();
            $table->jsonb('events');
            $table->json('answer'); // not jsonb: a repeated command gets the same answer to the letter
            $table->unique(['show_id', 'command_id']);
            $table->unique(['show_id', 'revision']);
        });
        // Append-only: what was on air was on air. Only deleting the whole show removes it.
        DB::unprepared(<<<'SQL'
            create or replace function as_run_is_final() returns trigger language plpgsql as $$
            begin
                if new.show_id = old.show_id and new.command = old.command and new.events = old.events
                    and new.revision = old.revision and new.at_ms = old.at_ms then
                    return new; -- the person who pressed may be deleted from the list of people
                end if;
                raise exception 'the as-run list is append-only';
            end $$;
            create trigger as_run_is_final before update on as_run for each row execute function as_run_is_final();
        SQL);

        Schema::create('picture_hosts', function (Blueprint $table): void {
            $table->foreignUuid('show_id')->primary()->constrained()->cascadeOnDelete();
            $table->uuid('tab');
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->timestampTz('seen_at', 3);
            $table->timestampTz('stills_wanted_at', 3)->nullable();
        });
    }
};
