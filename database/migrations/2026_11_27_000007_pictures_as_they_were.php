<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // A picture that was changed while it was on program stays there as it was until it leaves.
        Schema::table('pictures', fn (Blueprint $table) => $table->boolean('retired')->default(false));
    }
};
