<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('users', function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->string('email')->unique();
            $table->string('password');
            $table->rememberToken();
            $table->timestampsTz();
        });

        Schema::create('api_tokens', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name');
            $table->char('hash', 64)->unique();
            $table->timestampTz('created_at')->useCurrent();
        });

        Schema::create('shows', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->string('name');
            $table->unsignedInteger('canvas_width')->default(1280);
            $table->unsignedInteger('canvas_height')->default(720);
            $table->unsignedSmallInteger('frame_rate')->default(30);
            $table->timestampsTz();
        });
        DB::statement('alter table shows add constraint shows_canvas check (canvas_width between 160 and 3840 and canvas_height between 160 and 3840 and frame_rate between 1 and 60)');

        Schema::create('memberships', function (Blueprint $table): void {
            $table->foreignUuid('show_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('role', 20);
            $table->primary(['show_id', 'user_id']);
        });
        DB::statement("alter table memberships add constraint memberships_role check (role in ('lead', 'operator', 'view'))");
    }
};
