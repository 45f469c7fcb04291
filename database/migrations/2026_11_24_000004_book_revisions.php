<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // When the rig or the pictures last changed: a plan book read once stays good until then.
        Schema::table('desks', function (Blueprint $table): void {
            $table->unsignedBigInteger('book_revision')->default(0);
        });
    }
};
