<?php

use App\Models\Show;
use App\Shows\Replay;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', function (Blueprint $table): void {
            $table->jsonb('controls')->nullable();
        });
        Schema::table('pictures', function (Blueprint $table): void {
            $table->jsonb('comes')->nullable();
        });
        Schema::table('shows', function (Blueprint $table): void {
            $table->foreignId('alone_user_id')->nullable()->constrained('users')->nullOnDelete();
            $table->timestampTz('alone_until')->nullable();
        });
        Schema::create('presences', function (Blueprint $table): void {
            $table->uuid('tab')->primary();
            $table->foreignUuid('show_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('device', 80);
            $table->bigInteger('seen_ms');
            $table->index(['show_id', 'seen_ms']);
        });
        DB::statement('ALTER TABLE memberships DROP CONSTRAINT memberships_role');
        // Desks that were stored before they knew a way back: what they would know is in their as-run lists.
        foreach (Show::query()->has('desk')->get() as $show) {
            $show->desk->state = (new Replay)->of($show)->toArray();
            $show->desk->save();
        }
        DB::statement("ALTER TABLE memberships ADD CONSTRAINT memberships_role CHECK (role IN ('lead', 'operator', 'graphics', 'view'))");
    }
};
