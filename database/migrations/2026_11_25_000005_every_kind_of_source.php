<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        DB::statement('alter table sources drop constraint sources_kind');
        DB::statement("alter table sources add constraint sources_kind check (kind in ('camera', 'screen', 'still', 'microphone', 'stand-in', 'network-camera', 'phone', 'guest', 'deck', 'clip', 'colour', 'test-picture'))");

        Schema::table('media', function (Blueprint $table): void {
            $table->string('kind', 20)->default('still');
            $table->unsignedInteger('width')->nullable()->change();
            $table->unsignedInteger('height')->nullable()->change();
            $table->unsignedInteger('pages')->nullable();
            $table->unsignedBigInteger('length_ms')->nullable();
        });
        DB::statement("alter table media add constraint media_kind check (kind in ('still', 'deck', 'clip'))");

        // A file on its way in; what has arrived lies in storage/uploads under its id.
        Schema::create('uploads', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('show_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name');
            $table->unsignedBigInteger('bytes');
            $table->timestampsTz();
        });

        Schema::create('network_cameras', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('show_id')->constrained()->cascadeOnDelete();
            $table->string('address');
            $table->text('login')->nullable(); // encrypted
            $table->string('maker');
            $table->text('stream_uri')->nullable();
            $table->text('snapshot_uri')->nullable();
            $table->timestampsTz();
        });

        // A link by which a phone or another computer takes its place in the rig.
        Schema::create('join_links', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('source_id')->unique()->constrained()->cascadeOnDelete();
            $table->text('secret'); // encrypted: the link can be shown again
            $table->char('hash', 64)->unique();
            $table->timestampTz('expires_at');
            $table->uuid('taken_by')->nullable();
            $table->timestampTz('taken_at', 3)->nullable();
            $table->timestampsTz();
        });

        Schema::create('signal_watches', function (Blueprint $table): void {
            $table->foreignUuid('show_id')->primary()->constrained()->cascadeOnDelete();
            $table->jsonb('watches');
            $table->jsonb('host')->nullable();
            $table->timestampTz('seen_at', 3);
        });
    }
};
