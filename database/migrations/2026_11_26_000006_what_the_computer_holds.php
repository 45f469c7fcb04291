<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('shows', function (Blueprint $table): void {
            $table->jsonb('computer')->nullable(); // what was measured on the one that holds the devices
        });
        Schema::table('signal_watches', function (Blueprint $table): void {
            $table->jsonb('quality')->nullable(); // how far it was stepped down, and since when it is calm
        });
    }
};
