<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('media', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('show_id')->constrained()->cascadeOnDelete();
            $table->char('hash', 64);
            $table->string('name');
            $table->string('mime', 100);
            $table->unsignedInteger('width');
            $table->unsignedInteger('height');
            $table->unsignedBigInteger('bytes');
            $table->timestampsTz();
        });

        Schema::create('sources', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('show_id')->constrained()->cascadeOnDelete();
            $table->string('name', 80);
            $table->string('kind', 20);
            $table->string('picture_group', 20);
            $table->string('hearing', 20);
            $table->jsonb('settings');
            $table->unsignedInteger('width')->nullable();
            $table->unsignedInteger('height')->nullable();
            $table->unsignedInteger('position');
            $table->unsignedBigInteger('changed_revision');
            $table->timestampsTz();
            $table->index(['show_id', 'position']);
        });
        DB::statement("alter table sources add constraint sources_kind check (kind in ('camera', 'screen', 'still', 'microphone', 'stand-in'))");
        DB::statement("alter table sources add constraint sources_hearing check (hearing in ('always', 'with-picture', 'never'))");
        DB::statement('alter table sources add constraint sources_size check ((width is null) = (height is null) and (width is null or (width > 0 and height > 0)))');

        Schema::create('pictures', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('show_id')->constrained()->cascadeOnDelete();
            $table->string('name', 80);
            $table->string('picture_group', 20);
            $table->char('key', 1)->nullable();
            $table->jsonb('layout');
            $table->foreignUuid('own_source_id')->nullable()->unique()->constrained('sources')->cascadeOnDelete();
            $table->unsignedInteger('position');
            $table->unsignedBigInteger('changed_revision');
            $table->timestampsTz();
            $table->unique(['show_id', 'key']);
        });
        DB::statement("alter table pictures add constraint pictures_group check (picture_group in ('waiting', 'people', 'material', 'together'))");

        Schema::create('picture_fills', function (Blueprint $table): void {
            $table->foreignUuid('picture_id')->constrained()->cascadeOnDelete();
            $table->string('slot', 40);
            $table->foreignUuid('source_id')->constrained();
            $table->primary(['picture_id', 'slot']);
        });
    }
};
