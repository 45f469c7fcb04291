<?php

namespace App\Providers;

use App\Live\Channel;
use App\Live\NchanChannel;
use App\Models\ApiToken;
use App\Models\Show;
use App\Policies\ShowPolicy;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;

class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(Channel::class, fn (): Channel => new NchanChannel(config()->string('rhetorix.publish_socket')));
    }

    public function boot(): void
    {
        Model::shouldBeStrict(! $this->app->environment('production'));
        Gate::policy(Show::class, ShowPolicy::class);
        Auth::viaRequest('bearer', fn (Request $request) => $request->bearerToken() === null ? null : ApiToken::holder($request->bearerToken()));
        RateLimiter::for('join', fn (Request $request) => Limit::perMinute(120)->by((string) $request->ip()));
        RateLimiter::for('sign-in', fn (Request $request) => Limit::perMinute(10)->by($request->string('email').'|'.$request->ip()));
    }
}
